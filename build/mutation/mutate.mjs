// Changes the core in small ways, one at a time, and counts which changes its tests notice: node build/mutation/mutate.mjs [ROOM ...]
//
//   --seed N       chooses the stretches of a room that are changed (17)
//   --sample N     stretches of at least so many changes a room; 0 is the whole room (150)
//   --tests WHICH  "room": only the tests of the room; "all": those of the core (room)
//   --out DIR      where the table and the survivors are written (mutation-report)
//
// The last commit is measured, in a clone of its own. Texts are left as they are: what a message says is no behaviour. Not part of ./test.
import { execFileSync, spawnSync } from "node:child_process";
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from "node:fs";
import { availableParallelism, tmpdir } from "node:os";
import { basename, dirname, join, resolve } from "node:path";
import { fileURLToPath } from "node:url";
import { parseArgs } from "node:util";

const here = dirname(fileURLToPath(import.meta.url));
const root = resolve(here, "../..");
/** Rooms that are changed as a whole, because everything else rests on their arithmetic. */
const whole = ["Addressing", "Changes"];
/** Rooms whose tests stand with those of another: how packets go is seen in what is reported of it. */
const testedWith = { Packets: "Facts" };
/** What the tool says of a change, in the words of the table; whatever it says else is no change that could be tried. */
const counted = {
  Killed: "noticed",
  Timeout: "noticed",
  RuntimeError: "noticed",
  Survived: "not noticed",
  NoCoverage: "never run",
};
const stretchLines = 20;
/** What the tool can change in a text, roughly; only how many stretches are taken at once rests on it. */
const changeable = new RegExp(
  [
    /==|!=|<=|>=|&&|\|\||\?\?|\+=|-=| [<>+*/-] |!\w| \? /,
    /\btrue\b|\bfalse\b|\w\(.*\);$/,
    /\.(Any|All|First|FirstOrDefault|Single|Last|OrderBy|Min|Max|Skip|Take|Concat|Union|Except)\(/,
  ]
    .map((part) => part.source)
    .join("|"),
  "gm",
);

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: {
    seed: { type: "string", default: "17" },
    sample: { type: "string", default: "150" },
    tests: { type: "string", default: "room" },
    out: { type: "string", default: join(root, "mutation-report") },
  },
});
const rooms = readdirSync(join(root, "src/Altrin.Core"), {
  withFileTypes: true,
})
  .filter((d) => d.isDirectory() && !["bin", "obj"].includes(d.name))
  .map((d) => d.name);
for (const room of positionals.filter((r) => !rooms.includes(r))) {
  refuse(`no room '${room}'; rooms: ${rooms.join(", ")}`);
}
for (const name of ["seed", "sample"].filter(
  (n) => !/^\d{1,9}$/.test(values[n]),
)) {
  refuse(
    `--${name} ${values[name]}: a whole number from 0 to 999999999 is expected`,
  );
}
if (!["room", "all"].includes(values.tests)) {
  refuse(`--tests ${values.tests}: room or all is expected`);
}

function refuse(why) {
  console.error(`mutate: ${why}`);
  process.exit(2);
}

/** A clone of the last commit, in which everything is changed and built. */
const clone = mkdtempSync(join(tmpdir(), "altrin-mutation-"));
process.on("exit", () => rmSync(clone, { recursive: true, force: true }));
for (const signal of ["SIGINT", "SIGTERM"]) {
  process.on(signal, () => process.exit(1));
}
execFileSync("git", [
  "clone",
  "--quiet",
  "--depth",
  "1",
  `file://${root}`,
  clone,
]);
copyFileSync(
  join(here, "dotnet-tools.json"),
  join(clone, ".config/dotnet-tools.json"),
);
execFileSync("dotnet", ["tool", "restore"], { cwd: clone, stdio: "ignore" });

function measure(room, patterns) {
  const config = join(clone, "mutation.json");
  writeFileSync(
    config,
    JSON.stringify({
      "stryker-config": {
        "test-runner": "mtp",
        project: "Altrin.Core.csproj",
        configuration: "Release",
        mutate: patterns,
        "ignore-mutations": ["string"],
        concurrency: availableParallelism(),
        // A busy machine is not an endless loop.
        "additional-timeout": 30000,
        reporters: ["json"],
        verbosity: "warning",
      },
    }),
  );
  const report = join(clone, "report/reports/mutation-report.json");
  rmSync(report, { force: true });
  const run = spawnSync(
    "dotnet",
    [
      "dotnet-stryker",
      "--config-file",
      config,
      "--output",
      join(clone, "report"),
    ],
    {
      cwd: join(clone, "tests/Altrin.Core.Tests"),
      // xUnit's own runner stays the project's; this run needs the platform that the tool speaks with.
      env: {
        ...process.env,
        UseMicrosoftTestingPlatformRunner: "true",
        ...(values.tests === "all"
          ? {}
          : { OneRoom: testedWith[room] ?? room }),
      },
      encoding: "utf8",
      maxBuffer: 2 ** 28,
    },
  );
  if (!existsSync(report)) {
    throw new Error(`no report for ${room}:\n${run.stdout}\n${run.stderr}`);
  }
  return Object.entries(JSON.parse(readFileSync(report, "utf8")).files).flatMap(
    ([file, { source, mutants }]) =>
      mutants
        .filter((m) => Object.hasOwn(counted, m.status))
        .map((m) => ({
          ...m,
          file: basename(file),
          text: at(source, m.location),
        })),
  );
}

/** Pseudo-random numbers from 0 to 1: mulberry32, so that a seed gives the same sample everywhere. */
function random(seed) {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
}

/** All stretches of a room, in the order in which the seed draws them: each as a glob pattern, with what can be changed in it. */
function drawn(room) {
  const folder = join(clone, "src/Altrin.Core", room);
  const next = random(Number(values.seed));
  return readdirSync(folder, { recursive: true })
    .filter((f) => f.endsWith(".cs"))
    .sort()
    .flatMap((file) => {
      const text = readFileSync(join(folder, file), "utf8");
      const starts = [0, ...[...text.matchAll(/\n/g)].map((m) => m.index + 1)];
      return starts
        .filter((_, line) => line % stretchLines === 0)
        .map((from, i) => {
          const to = starts[(i + 1) * stretchLines] ?? text.length;
          return {
            pattern: `**/${room}/${file}{${from}..${to}}`,
            changes: text
              .slice(from, to)
              .replace(/^\s*\/\/.*$/gm, "")
              .match(changeable)?.length,
          };
        });
    })
    .map((stretch) => [next(), stretch])
    .sort((a, b) => a[0] - b[0])
    .map((d) => d[1]);
}

/** Changes the whole room, or one stretch after another until there are enough changes. */
function measureRoom(room) {
  const sample = Number(values.sample);
  if (sample === 0 || whole.includes(room)) {
    return measure(room, [`**/${room}/**/*.cs`]);
  }
  const stretches = drawn(room);
  const found = [];
  // Each round builds the whole core anew, which takes minutes: the first takes rather too many than too few.
  let yielded = 0.9;
  for (let taken = 0; found.length < sample && taken < stretches.length;) {
    const some = [];
    let expected = 0;
    while (
      taken < stretches.length &&
      (expected + found.length < sample || some.length === 0)
    ) {
      const stretch = stretches[taken++];
      some.push(stretch);
      expected += yielded * (stretch.changes ?? 0);
    }
    found.push(
      ...measure(
        room,
        some.map((s) => s.pattern),
      ),
    );
    const tried = stretches.slice(0, taken);
    yielded =
      found.length / tried.reduce((sum, s) => sum + (s.changes ?? 0), 1);
  }
  return found;
}

/** Wilson's interval of a share at 95 %. */
function interval(hits, of) {
  const z = 1.959964;
  const p = hits / of;
  const middle = (p + (z * z) / (2 * of)) / (1 + (z * z) / of);
  const half =
    (z / (1 + (z * z) / of)) *
    Math.sqrt((p * (1 - p)) / of + (z * z) / (4 * of * of));
  return [middle - half, middle + half];
}

const percent = (share) => `${(100 * share).toFixed(1)} %`;

mkdirSync(values.out, { recursive: true });
const lines = [
  "| Room | Changes | Noticed | Not noticed | Never run | Share | 95 % |",
  "| --- | ---: | ---: | ---: | ---: | ---: | --- |",
];
for (const room of positionals.length > 0 ? positionals : rooms) {
  const started = Date.now();
  const found = measureRoom(room);
  const of = (how) => found.filter((m) => counted[m.status] === how);
  const [noticed, kept, never] = [
    of("noticed"),
    of("not noticed"),
    of("never run"),
  ];
  const all = found.length;
  if (all === 0) {
    console.error(`mutate: nothing of ${room} could be changed`);
    continue;
  }
  const [low, high] = interval(noticed.length, all);
  const share = percent(noticed.length / all);
  lines.push(
    `| \`${room}\` | ${all} | ${noticed.length} | ${kept.length} | ${never.length} | ${share} | ${percent(low)} to ${percent(high)} |`,
  );
  console.log(`${lines.at(-1)} ${Math.round((Date.now() - started) / 1000)} s`);
  const told = [...kept, ...never].map(
    (m) =>
      `${counted[m.status]} ${m.file}:${m.location.start.line} ${m.text} => ${flat(m.replacement)}`,
  );
  writeFileSync(join(values.out, `${room}.txt`), told.join("\n") + "\n");
  // After each room, so that a run that is stopped keeps what it measured.
  writeFileSync(join(values.out, "table.md"), lines.join("\n") + "\n");
}

function at(source, { start, end }) {
  const text = source.split("\n").slice(start.line - 1, end.line);
  text[text.length - 1] = text.at(-1).slice(0, end.column - 1);
  text[0] = text[0].slice(start.column - 1);
  return flat(text.join(" "));
}

function flat(text = "") {
  const one = text.replace(/\s+/g, " ").trim();
  return one.length > 120 ? `${one.slice(0, 119)}…` : one;
}
