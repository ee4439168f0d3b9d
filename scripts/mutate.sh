# Sourced by ./ingegno mutate: changes the rules one at a time and asks whether a test notices. Never a part of ./ingegno test.
need_dotnet
need_node
out=$root/.ingegno/mutation
rm -rf "$out"
mkdir -p "$out"
say "Drawing the sample …"
node scripts/mutation/sample.mjs "$seed" "$mutants" "$out/stryker.json"
dotnet tool restore >"$out/restore.log" 2>&1 || { tail -20 "$out/restore.log" >&2; fail "The mutation tool could not be restored."; }
say "Changing rules one at a time; this takes an hour or more; run nothing else meanwhile …"

# Properties are asked about fewer cases: a mutant is run against many tests.
(cd tests/Ingegno.Core.Tests && CsCheck_Iter=25 dotnet stryker --config-file "$out/stryker.json" --output "$out" >"$out/run.log" 2>&1) || true
report=$(find "$out" -name mutation-report.json | head -1)
[ -n "$report" ] || { tail -30 "$out/run.log" >&2; fail "The run gave no report; the whole output is in .ingegno/mutation/run.log."; }
node scripts/mutation/report.mjs "$report"
