# Steps that ./start, ./test and .ci/run share. Each is done only when what it depends on has changed:
# a stamp holds the hash of that. Sourced from the root of the project.
stamps=.stamps
published=.published
server_dll=$published/server/Altrin.Web.dll
terminal_dll=$published/terminal/altrin.dll
export DOTNET_CLI_TELEMETRY_OPTOUT=1 DOTNET_NOLOGO=1 npm_config_update_notifier=false

need_dotnet() {
  command -v dotnet >/dev/null || { echo "altrin: the .NET 10 SDK is needed (no 'dotnet' on the path)" >&2; exit 2; }
}

need_tools() {
  need_dotnet
  command -v node >/dev/null || { echo "altrin: Node 20 or newer is needed (no 'node' on the path)" >&2; exit 2; }
  [ "$(node -p 'process.versions.node.split(".")[0]')" -ge 20 ] || { echo "altrin: Node 20 or newer is needed, this is $(node --version)" >&2; exit 2; }
}

# hash_of PATH...: one hash over the contents and names of files that git knows or would add.
hash_of() {
  { git ls-files -co --exclude-standard -- "$@" 2>/dev/null || find "$@" -type f; } | sort -u |
    while IFS= read -r file; do [ -f "$file" ] && printf '%s\0' "$file"; done | xargs -0 -r sha256sum | sha256sum | cut -d' ' -f1
}

# once NAME HASH OUTPUT COMMAND...: runs the command unless it ran with this hash before and its output is there.
once() {
  local name=$1 hash=$2 output=$3; shift 3
  if [ -e "$output" ] && [ "$(cat "$stamps/$name" 2>/dev/null)" = "$hash" ]; then return 0; fi
  mkdir -p "$stamps"
  rm -f "$stamps/$name"
  echo "altrin: $name"
  if ! "$@" >"$stamps/$name.log" 2>&1; then tail -n 25 "$stamps/$name.log" >&2; echo "altrin: $name failed" >&2; exit 1; fi
  echo "$hash" >"$stamps/$name"
}

install_packages() { once "front end packages" "$(hash_of web/package.json web/package-lock.json)" web/node_modules npm --prefix web ci --no-audit --no-fund; }

build_front_end() {
  local sources; sources=$(hash_of web/src web/public web/app.html web/vite.config.ts web/package-lock.json)
  if [ -e web/dist/app.html ] && [ "$(cat "$stamps/front end" 2>/dev/null)" = "$sources" ]; then return 0; fi
  install_packages
  once "front end" "$sources" web/dist/app.html npm --prefix web run build
}

# publish PROJECT DIR: compiled ahead of time for this machine, so that it starts at once.
publish() {
  rm -rf "$2"
  dotnet publish "$1" -c Release -warnaserror -p:AheadOfTime=true -o "$2"
}

build_server() {
  once "server" "$(hash_of src Directory.Build.props Directory.Packages.props global.json docs/*.schema.json samples/pottery-house.json web/src web/public web/app.html web/vite.config.ts web/package-lock.json)" "$server_dll" \
    publish src/Altrin.Web "$published/server"
}

build_terminal() {
  once "terminal" "$(hash_of src/Altrin.Core src/Altrin.Formats src/Altrin.Data src/Altrin.Cli docs/*.schema.json Directory.Build.props Directory.Packages.props global.json)" \
    "$terminal_dll" publish src/Altrin.Cli "$published/terminal"
}
