# Shared by the commands: finding tools, building only what changed, starting the server.
state=$root/.ingegno
stamps=$state/stamps
mkdir -p "$stamps"
export DOTNET_NOLOGO=1 DOTNET_CLI_TELEMETRY_OPTOUT=1
server_dll=$root/src/Ingegno.Web/bin/Release/net10.0/Ingegno.Web.dll

say() { printf '%s\n' "$*"; }
fail() { printf 'ingegno: %s\n' "$*" >&2; exit 1; }
need() { command -v "$1" >/dev/null 2>&1 || fail "$1 is missing. $2"; }

# A fingerprint of the files below the given paths, build output left out.
fingerprint() {
  find "$@" -type d \( -name bin -o -name obj -o -name node_modules -o -name dist -o -name test-results \) -prune -o -type f -print0 |
    sort -z | xargs -0 sha256sum | sha256sum | cut -c1-32
}

# once NAME FINGERPRINT COMMAND…: runs the command unless it succeeded with the same fingerprint before.
once() {
  local name=$1 print=$2
  shift 2
  [ "$(cat "$stamps/$name" 2>/dev/null)" = "$print" ] && return 0
  rm -f "$stamps/$name"
  "$@" >"$state/$name.log" 2>&1 || { tail -n 40 "$state/$name.log" >&2; fail "The step \"$name\" failed; the whole output is in .ingegno/$name.log."; }
  echo "$print" >"$stamps/$name"
}

need_node() {
  need node "Install Node.js 20 or newer with npm."
  need npm "It comes with Node.js; install both."
  [ -d node_modules ] || rm -f "$stamps/npm"
  once npm "$(fingerprint package.json package-lock.json src/web/package.json tests/browser/package.json)" npm ci --no-progress
}

need_dotnet() { need dotnet "Install the .NET SDK named in global.json."; }

need_browser() {
  [ -x /usr/bin/chromium ] && return 0
  need apt-get "Install Chromium as /usr/bin/chromium."
  say "Installing Chromium for the browser tests …"
  once chromium "$(date +%s)" bash -c 'apt-get update -qq && DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends chromium fonts-liberation'
}

# Folders of the .NET projects that the solution names below the given folders: nobody keeps a list of them by hand.
projects_below() {
  local folder
  for folder in "$@"; do grep -o "Path=\"$folder/[^\"]*" Ingegno.slnx | sed 's/^Path="//; s/\/[^/]*$//'; done
}

build_settings='Directory.Build.props Directory.Packages.props Ingegno.slnx global.json .editorconfig'
# Packages are those of the lock files and no others; whoever adds one restores by hand first.
locked=-p:RestoreLockedMode=true
# shellcheck disable=SC2046,SC2086 # folders of projects have no spaces
server_sources() { fingerprint $(projects_below src) data $build_settings; }
# shellcheck disable=SC2046,SC2086
dotnet_sources() { fingerprint $(projects_below src tests bench) src/web/api scripts data docs $build_settings; }

build_server() {
  need_dotnet
  [ -f "$server_dll" ] || rm -f "$stamps/server"
  once server "$(server_sources)" dotnet build src/Ingegno.Web -c Release --nologo -v quiet $locked
}

build_web() {
  need_node
  [ -f src/web/dist/index.html ] || rm -f "$stamps/web"
  once web "$(fingerprint src/web)" npm run -s build -w src/web
}

build_all() {
  build_server
  build_web
}

# An empty folder for the demo; one that holds anything else than a demo is left alone.
fresh_demo_folder() {
  if [ -e "$1" ] && [ ! -e "$1/.ingegno-demo" ] && [ -n "$(ls -A "$1" 2>/dev/null)" ]; then
    fail "$1 is not empty and holds no demo; choose another folder with --data, or go on with --keep."
  fi
  rm -rf "$1"
  mkdir -p "$1"
  touch "$1/.ingegno-demo"
}

serve() {
  local port=$1 data=$2
  shift 2
  mkdir -p "$data"
  exec dotnet "$server_dll" --urls "http://127.0.0.1:$port" --Data "$data" --webroot "$root/src/web/dist" "$@"
}
