using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Altrin.Core.Sites;
using Altrin.Formats;
using Altrin.Testing;

namespace Altrin.Web.Tests;

/// <summary>A request that was drawn.</summary>
/// <param name="Method">Its method.</param>
/// <param name="Path">Its address.</param>
/// <param name="Body">Its body; null where it has none.</param>
/// <param name="Kind">What it says the body is.</param>
internal sealed record DrawnRequest(HttpMethod Method, string Path, byte[]? Body, string Kind)
{
    public override string ToString() =>
        $"{Method} {Path} {Kind} {(Body is null ? "" : Encoding.UTF8.GetString(Body.AsSpan(0, Math.Min(Body.Length, 1_500))))}";
}

/// <summary>
/// Draws requests from the description of the API: mostly as it says, with words that the demo home knows, and then with one thing wrong:
/// null, another type, something missing, something more, too much, half of it, another kind of body. One in three carries changes of the
/// home, sensible and foolish ones, a third of them with one thing wrong.
/// </summary>
/// <param name="description">The description of the API.</param>
/// <param name="design">The set-up that changes are drawn for.</param>
/// <param name="seed">What the dice begin with.</param>
internal sealed class Requests(JsonNode description, Design design, int seed)
{
    private static readonly string[] Words =
    [
        "planned",
        "found",
        "hall-gateway",
        "hall-gateway/lan1",
        "hall-gateway/wan",
        "loft-router",
        "loft-router/lan2",
        "loft-room",
        "hall",
        "desk-router",
        "internet",
        "lease",
        "192.168.8.1",
        "192.168.8.0/24",
        "192.168.8.1/24",
        "192.168.8.20-192.168.8.199",
        "02:00:5e:00:53:01",
        "wifi-key",
        "r2",
        "r5",
        "guest",
        "dns",
        "linux",
        "ip",
        "windows",
        "",
        " ",
        "a",
        "=1+1",
        "\u0000",
        "\ud83d\udca1",
        "../../x",
        "-1",
        "1e400",
        "null",
        "id,name,sort\nloft-room,,\n",
        "Printer, 192.168.8.44",
        "inet 192.168.8.20/24 dev eth0",
    ];

    /// <summary>What the demo home has under the names that requests call it by.</summary>
    private static readonly Dictionary<string, string[]> Known = new()
    {
        ["setUp"] = ["planned", "found"],
        ["beforeSetUp"] = ["planned"],
        ["afterSetUp"] = ["planned"],
        ["box"] = ["hall-gateway", "loft-router"],
        ["as"] = ["repeater", "unused"],
        ["ways"] = ["socket=false", "further=cascade"],
        ["device"] = ["printer", "kiln-laptop"],
        ["from"] = ["hall-gateway/lan4", "hall-gateway/lan1"],
        ["to"] = ["internet", "loft-router"],
        ["at"] = ["hall-gateway/lan4"],
        ["seat"] = ["hall-gateway/lan4"],
        ["place"] = ["hall", "loft-room"],
        ["port"] = ["hall-gateway/lan4"],
        ["radio"] = ["r2", "r5"],
        ["table"] = ["gear", "places", "devices", "cables"],
        ["style"] = ["ip", "windows"],
        ["text"] = ["id,name\nhall,\n", "name,sort\nCellar,room\n", "Printer, 192.168.8.44", "    Key Content : planted"],
    };

    /// <summary>What is empty is written too, as the page writes it.</summary>
    private static readonly JsonSerializerOptions AsThePage = WithNulls();

    private readonly Random _dice = new(seed);

    private readonly List<(string Path, string Method, JsonNode Operation)> _operations =
    [
        .. description["paths"]!.AsObject().SelectMany(p => p.Value!.AsObject().Select(m => (p.Key, m.Key, m.Value!))),
    ];

    public DrawnRequest Next(long job)
    {
        if (_dice.Next(3) == 0)
        {
            var act = _dice.Next(3) == 0 ? "preview" : "changes";
            return new(HttpMethod.Post, $"/api/jobs/{job}/{act}", Encoding.UTF8.GetBytes(Changes().ToJsonString()), "application/json");
        }
        // Those that bring a body have more to be wrong with.
        var brings = _dice.Next(4) > 0;
        var all = _operations.Where(o => o.Operation["requestBody"] is not null == brings).ToList();
        var (path, method, operation) = all[_dice.Next(all.Count)];
        if (path.Contains("/options", StringComparison.Ordinal) && _dice.Next(40) > 0)
        {
            // A search takes seconds where the others take milliseconds.
            return Next(job);
        }
        var query = new List<string>();
        foreach (var parameter in operation!["parameters"]?.AsArray() ?? [])
        {
            var name = (string)parameter!["name"]!;
            var value = name == "id" && _dice.Next(20) > 0 ? $"{job}" : Uri.EscapeDataString(Text(name, parameter["schema"]!));
            switch ((string)parameter["in"]!)
            {
                case "path":
                    path = path.Replace($"{{{name}}}", value.Length == 0 ? "x" : value, StringComparison.Ordinal);
                    break;
                case "query" when _dice.Next(8) > 0:
                    query.Add($"{name}={value}");
                    break;
            }
        }
        var address = path + (query.Count == 0 ? "" : "?" + string.Join('&', query));
        if (operation["requestBody"]?["content"]?["application/json"]?["schema"] is not { } schema)
        {
            return new(new(method.ToUpperInvariant()), address, null, "");
        }
        var body = Encoding.UTF8.GetBytes(
            (Value(schema, 0)?.ToJsonString() ?? "null") is var text && _dice.Next(25) == 0 ? text[..(text.Length / 2)] : text
        );
        var kind = _dice.Next(30) switch
        {
            0 => "text/plain",
            1 => "application/json; charset=utf-16",
            2 => "application/json; charset=none-such",
            3 => "multipart/form-data; boundary=x",
            _ => "application/json",
        };
        return new(new(method.ToUpperInvariant()), address, body, kind);
    }

    private JsonObject Changes()
    {
        var changes = Enumerable
            .Range(0, _dice.Next(1, 3))
            .Select(_ => JsonSerializer.SerializeToNode(ChangeGenerator.Make(_dice, design), AsThePage));
        var body = new JsonObject { ["setUp"] = design.SetUp.Name, ["changes"] = new JsonArray([.. changes]) };
        var members = Members(body).ToList();
        // No key is known here; most are left open, so that not every change is refused for its key.
        foreach (var (owner, name) in members.Where(m => m.Name == "password" && _dice.Next(8) > 0))
        {
            owner[name] = null;
        }
        if (_dice.Next(3) == 0)
        {
            var (owner, name) = members[_dice.Next(members.Count)];
            owner[name] = Wrong();
        }
        return body;
    }

    private static JsonSerializerOptions WithNulls()
    {
        var options = new JsonSerializerOptions();
        AltrinJson.Apply(options);
        return options;
    }

    private static IEnumerable<(JsonObject Owner, string Name)> Members(JsonNode? node) =>
        node switch
        {
            JsonObject owner => owner.SelectMany(m => Members(m.Value).Prepend((owner, m.Key))),
            JsonArray list => list.SelectMany(Members),
            _ => [],
        };

    /// <summary>A value for a parameter of an address.</summary>
    private string Text(string name, JsonNode schema) =>
        Member(name, schema, 0) switch
        {
            JsonValue value when value.TryGetValue<string>(out var text) => text.Replace("\u0000", "%00", StringComparison.Ordinal),
            var other => other?.ToJsonString() ?? "",
        };

    private JsonNode? Member(string name, JsonNode schema, int depth) =>
        Known.TryGetValue(name, out var known) && _dice.Next(5) > 0 && $"{schema["type"]}".Contains("string", StringComparison.Ordinal)
            ? known[_dice.Next(known.Length)]
            : Value(schema, depth);

    private JsonNode? Value(JsonNode schema, int depth)
    {
        if (_dice.Next(40) == 0)
        {
            return Wrong();
        }
        while ((string?)schema["$ref"] is { } reference)
        {
            schema = description["components"]!["schemas"]![reference.Split('/')[^1]]!;
        }
        if ((schema["anyOf"] ?? schema["oneOf"]) is JsonArray { Count: > 0 } choices)
        {
            return Value(choices[_dice.Next(choices.Count)]!, depth);
        }
        if (schema["enum"] is JsonArray { Count: > 0 } words)
        {
            return words[_dice.Next(words.Count)]?.DeepClone();
        }
        var types =
            schema["type"] is JsonArray several ? several.Select(t => (string)t!).ToList()
            : schema["type"] is { } one ? [(string)one!]
            : ["string"];
        switch (types[_dice.Next(types.Count)])
        {
            case "null":
                return null;
            case "boolean":
                return _dice.Next(2) == 0;
            case "integer":
                return _dice.Next(6) == 0 ? _dice.NextInt64(long.MinValue, long.MaxValue) : _dice.Next(0, 12);
            case "number":
                return _dice.Next(6) == 0 ? double.MaxValue : Math.Round(_dice.NextDouble() * 300, 2);
            case "array":
                var list = new JsonArray();
                for (var i = depth > 6 ? 0 : _dice.Next(4); i > 0; i--)
                {
                    list.Add(schema["items"] is { } item && _dice.Next(25) > 0 ? Value(item, depth + 1) : null);
                }
                return list;
            case "object":
                return Object(schema, depth);
            default:
                return Words[_dice.Next(Words.Length)];
        }
    }

    private JsonObject Object(JsonNode schema, int depth)
    {
        var drawn = new JsonObject();
        var required = schema["required"]?.AsArray().Select(r => (string)r!).ToHashSet() ?? [];
        foreach (var (name, member) in schema["properties"]?.AsObject() ?? [])
        {
            if (required.Contains(name) ? _dice.Next(name == "kind" ? 15 : 40) > 0 : depth < 7 && _dice.Next(2) == 0)
            {
                drawn[name] = Member(name, member!, depth + 1);
            }
        }
        if (_dice.Next(40) == 0)
        {
            drawn["unknown"] = 7;
        }
        return drawn;
    }

    private JsonNode? Wrong() =>
        _dice.Next(9) switch
        {
            0 => null,
            1 => new JsonArray(null, null),
            2 => new JsonObject(),
            3 => new string('x', 5_000),
            4 => -7,
            5 => JsonNode.Parse("1e300"),
            6 => new JsonObject { ["kind"] = "none-such" },
            7 => JsonNode.Parse(string.Concat(Enumerable.Repeat("[", 30)) + string.Concat(Enumerable.Repeat("]", 30))),
            _ => _dice.Next(2) == 0,
        };
}
