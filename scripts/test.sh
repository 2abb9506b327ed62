#!/usr/bin/env bash
# Installs what is missing, then types, lint, import rules, and the unit, API and browser tests. Ends with the count.
set -uo pipefail
cd "$(dirname "$0")/.."
. scripts/install.sh || exit 1
install_chromium || exit 1

passed=0
failed=0
broken=()
check() {
  local name=$1
  echo "== $name"
  shift
  if "$@"; then passed=$((passed + 1)); else failed=$((failed + 1)) broken+=("$name"); fi
}

check "types" npm run --silent types
check "lint" npm run --silent lint
check "import rules" npm run --silent imports
check "build" npm run --silent build -- --logLevel warn

report=$(mktemp)
echo "== tests"
npx vitest run --reporter=default --reporter=json --outputFile.json="$report" || true
read -r more_passed more_failed < <(node -e '
  const read = (file) => { try { return JSON.parse(require("fs").readFileSync(file, "utf8")); } catch { return null; } };
  const report = read(process.argv[1]);
  const suites = report ? report.testResults.filter((one) => one.status === "failed" && !one.assertionResults.some((test) => test.status === "failed")).length : 1;
  console.log(report ? report.numPassedTests : 0, (report ? report.numFailedTests : 0) + suites);
' "$report")
rm -f "$report"
passed=$((passed + more_passed))
failed=$((failed + more_failed))
echo
[ "${#broken[@]}" -eq 0 ] || echo "Failed before the tests: $(printf '%s; ' "${broken[@]}")"
echo "$passed passed, $failed failed"
[ "$failed" -eq 0 ]
