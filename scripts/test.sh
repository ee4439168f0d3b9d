# Every check and test. Each part counts its passes and failures into .ingegno/counts; a part that passed with the same
# sources is not run again unless --force is given.
counts=$state/counts
mkdir -p "$counts"
failed_parts=()

# part NAME FINGERPRINT COMMAND…: COMMAND prints what it does and writes "passed failed" to $count_file.
part() {
  local name=$1 print=$2
  shift 2
  count_file=$counts/$name
  export count_file
  if [ -z "$force" ] && [ "$(cat "$stamps/test-$name" 2>/dev/null)" = "$print" ] && [ -f "$count_file" ]; then
    printf '%-12s %s passed before, unchanged since\n' "$name" "$(cut -d' ' -f1 "$count_file")"
    return 0
  fi
  rm -f "$stamps/test-$name" "$count_file"
  local start=$SECONDS
  if ("$@") >"$state/test-$name.log" 2>&1 && [ -f "$count_file" ] && [ "$(cut -d' ' -f2 "$count_file")" = 0 ]; then
    echo "$print" >"$stamps/test-$name"
    printf '%-12s %s passed in %s s\n' "$name" "$(cut -d' ' -f1 "$count_file")" $((SECONDS - start))
  else
    [ -f "$count_file" ] && [ "$(cut -d' ' -f2 "$count_file")" != 0 ] || echo "$(cut -d' ' -f1 "$count_file" 2>/dev/null || echo 0) 1" >"$count_file"
    failed_parts+=("$name")
    printf '%-12s FAILED; the whole output is in .ingegno/test-%s.log\n' "$name" "$name"
    grep -v '^ *at \|^\[xUnit' "$state/test-$name.log" | tail -n 60
  fi
}

count() { echo "$1 $2" >"$count_file"; }

# Passes and failures of `dotnet test`, summed over its projects.
run_dotnet() {
  local out=0
  dotnet test Ingegno.slnx -c Release --nologo --no-build 2>&1 | tee "$state/dotnet-test.out" || out=$?
  awk '/Failed: +[0-9]+, Passed: +[0-9]+/ { match($0, /Failed: +[0-9]+/); f += substr($0, RSTART + 7, RLENGTH - 7); match($0, /Passed: +[0-9]+/); p += substr($0, RSTART + 7, RLENGTH - 7) } END { print p + 0, f + 0 }' "$state/dotnet-test.out" >"$count_file"
  return $out
}

run_build() {
  local before=$state/openapi.before.json
  cp src/web/api/openapi.json "$before" 2>/dev/null || echo none >"$before"
  dotnet build Ingegno.slnx -c Release --nologo -v quiet "$locked" || return 1
  cmp -s "$before" src/web/api/openapi.json || { echo "src/web/api/openapi.json was stale. It is renewed now: run npm run types -w src/web and commit both."; return 1; }
  count 2 0
}

run_format() { dotnet tool restore && dotnet csharpier check src tests bench && count 1 0; }

run_contract() {
  npx openapi-typescript src/web/api/openapi.json -o "$state/schema.d.ts" >/dev/null || return 1
  cmp "$state/schema.d.ts" src/web/src/shared/api/schema.d.ts || { echo "The generated types are stale: run npm run types -w src/web."; return 1; }
  count 1 0
}

# A stage is asked in a condition, where "set -e" holds nothing: each step says for itself that it failed.
run_web() {
  npx prettier --check src/web tests/browser &&
    npm run -s lint -w src/web &&
    npm run -s check -w src/web &&
    npm run -s check -w tests/browser || return 1
  (cd src/web && npx vitest run --reporter=default --reporter=json --outputFile.json="$state/vitest.json") || return 1
  node -e 'const r = require(process.argv[1]); console.log(r.numPassedTests + 4, r.numFailedTests)' "$state/vitest.json" >"$count_file"
}

run_browser() {
  local out=0
  (cd tests/browser && npx playwright test) || out=$?
  node -e 'const { stats } = require(process.argv[1]); console.log(stats.expected, stats.unexpected + stats.flaky)' "$root/tests/browser/test-results/report.json" >"$count_file"
  return $out
}

begun=$SECONDS
need_dotnet
build_web
need_browser
dotnet_print=$(dotnet_sources)
web_print=$(fingerprint src/web tests/browser scripts .prettierrc.json .prettierignore)
part build "$dotnet_print" run_build
part format "$dotnet_print" run_format
part contract "$(fingerprint src/web/api src/web/src/shared/api)" run_contract
part dotnet "$dotnet_print" run_dotnet
part web "$web_print" run_web
fast=$((SECONDS - begun))
part browser "$dotnet_print $web_print" run_browser

printf 'all in %s s, without the browser %s s\n' $((SECONDS - begun)) "$fast"
[ ${#failed_parts[@]} -eq 0 ] || say "Failed: ${failed_parts[*]}"
cat "$counts"/{build,format,contract,dotnet,web,browser} | awk '{ p += $1; f += $2 } END { print p + 0 " passed, " f + 0 " failed"; exit f > 0 }'
