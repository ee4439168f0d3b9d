# Server on the next port, Vite in front of it on the asked one; both end together.
data=${data:-$root/.ingegno/demo-$port}
api=http://127.0.0.1:$((port + 1))
mkdir -p "$data"
touch "$data/.ingegno-demo"
dotnet watch --project src/Ingegno.Web run --no-launch-profile -- --urls "$api" --Data "$data" --webroot "$root/src/web/dist" --Demo true &
server=$!
trap 'kill "$server" 2>/dev/null' EXIT
INGEGNO_API=$api npx vite src/web --config src/web/vite.config.ts --port "$port" --strictPort
