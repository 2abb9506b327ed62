#!/usr/bin/env bash
# Installs what is missing, then types, lint, import rules, the build and a sample of changed numbers, two at a time, and the unit, API and browser tests. Ends with the
# slowest files, the name of each test that failed, and the count.
set -uo pipefail
cd "$(dirname "$0")/.."
. scripts/install.sh || exit 1
install_chromium || exit 1

passed=0
failed=0
broken=()
told=$(mktemp -d)
trap 'rm -rf "$told"' EXIT

# Each of two checks uses one core; what they say is shown in their order.
begin() {
  local name=$1
  shift
  "$@" >"$told/$name" 2>&1 &
}
end() {
  if wait "$2"; then passed=$((passed + 1)); else failed=$((failed + 1)) broken+=("$1"); fi
  echo "== $1"
  cat "$told/$1"
}
begin types npm run --silent types
types=$!
begin lint npm run --silent lint
lint=$!
end types "$types"
end lint "$lint"
# Some numbers of the tables, each changed: a test has to mind.
begin mutation npm run --silent mutate -- sample
mutation=$!
begin imports npm run --silent imports
end imports $!
begin build npm run --silent build -- --logLevel warn
end build $!
end mutation "$mutation"

echo "== tests"
npx vitest run --reporter=default --reporter=json --outputFile.json="$told/report.json" || true
npx tsx scripts/test-report.ts "$told/report.json" "$told/counts"
read -r more_passed more_failed <"$told/counts"
passed=$((passed + more_passed))
failed=$((failed + more_failed))
echo
[ "${#broken[@]}" -eq 0 ] || echo "Failed before the tests: $(printf '%s; ' "${broken[@]}")"
echo "$passed passed, $failed failed"
[ "$failed" -eq 0 ]
