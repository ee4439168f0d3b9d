# Sourced by ./ingegno mutate: changes the rules one at a time and asks whether a test notices. Never a part of ./ingegno test.
need_dotnet
need_node
out=$root/.ingegno/mutation
rm -rf "$out"
mkdir -p "$out"
say "Drawing the sample …"
node scripts/mutation/sample.mjs "$seed" "$mutants" "$out/stryker.json"

# A copy of its own: the project can be worked on while a run goes on, and files that were not drawn are kept out there.
copy=$out/copy
mkdir "$copy"
git ls-files --cached --others --exclude-standard -z | while IFS= read -r -d '' file; do [ ! -e "$file" ] || printf '%s\0' "$file"; done |
  tar --null --files-from=- --create | tar --extract --directory "$copy"
node scripts/mutation/quiet.mjs "$out/stryker.json" "$copy"
(cd "$copy" && dotnet tool restore) >"$out/restore.log" 2>&1 || { tail -20 "$out/restore.log" >&2; fail "The mutation tool could not be restored."; }
say "Changing rules one at a time; this takes half an hour; build nothing meanwhile …"

# Properties are asked about fewer cases: a mutant is run against many tests. Prints the report of a run.
mutants_of() {
  (cd "$copy/tests/Ingegno.Core.Tests" && CsCheck_Iter=25 dotnet stryker --config-file "$1" --output "$2" >"$2.log" 2>&1) || true
  find "$2" -name mutation-report.json | head -1
}

first=$(mutants_of "$out/stryker.json" "$out/first")
[ -n "$first" ] || { tail -30 "$out/first.log" >&2; fail "The run gave no report; the whole output is in .ingegno/mutation/first.log."; }
second=''
if node scripts/mutation/second.mjs "$first" "$out/second.json"; then
  second=$(mutants_of "$out/second.json" "$out/second")
  [ -n "$second" ] || { tail -30 "$out/second.log" >&2; fail "The second run gave no report; the whole output is in .ingegno/mutation/second.log."; }
fi
node scripts/mutation/report.mjs "$first" $second
