# Figures of the engine, the start of the server and the size of the interface.
dotnet run --project bench/Ingegno.Bench -c Release --no-launch-profile

say
for n in 1 2 3; do
  folder=$(mktemp -d)
  start=$(date +%s%N)
  dotnet "$server_dll" --urls "http://127.0.0.1:$port" --Data "$folder" --webroot "$root/src/web/dist" >/dev/null 2>&1 &
  server=$!
  until curl -fs "http://127.0.0.1:$port/healthz" >/dev/null; do sleep 0.02; done
  printf 'cold start to the first answer, empty database: %d ms\n' $((($(date +%s%N) - start) / 1000000))
  kill "$server"
  wait "$server" 2>/dev/null || true
  rm -rf "$folder"
done

say
node scripts/first-load.mjs

say
dotnet run --project bench/Ingegno.Bench -c Release --no-build --no-launch-profile -- soak "$server_dll" 20 40 120
