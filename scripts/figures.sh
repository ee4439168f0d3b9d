# Draws contact sheets of the figures; ends with 1 when the checker finds a fault.
sheets=$root/.ingegno/figures
for ((i = 0; i < ${#passed[@]}; i++)); do
  [ "${passed[i]}" = --to ] && sheets=${passed[i + 1]}
done
list=$(mktemp)
trap 'rm -f "$list"' EXIT
faults=0
dotnet "$server_dll" figures "${passed[@]}" --to "$list" || faults=$?
rm -rf "$sheets"
node --no-warnings scripts/figures.mjs "$list" "$sheets"
exit "$faults"
