#!/usr/bin/env bash
# What takes longer than `npm test` may: a thousand kills of the server in mid-stream, fifty of the browser and two hundred while somebody types, three hundred turned bits, a hundred thousand
# generated requests, four thousand payloads of each kind, days that a general solver is asked about as well, estimates over four hundred simulated wells, every way of every
# protocol on a phone, what the linter knows by types, and every number of the core changed.
set -euo pipefail
cd "$(dirname "$0")/.."
. scripts/install.sh
install_chromium
npm run build --silent -- --logLevel warn >/dev/null
export FONTE_SOLVER_DAYS="${FONTE_SOLVER_DAYS:-12}" FONTE_SOLVER_STOPS="${FONTE_SOLVER_STOPS:-7}"
export FONTE_LONG=1 FONTE_PAYLOADS="${FONTE_PAYLOADS:-4000}"
export FONTE_KILLS="${FONTE_KILLS:-1000}" FONTE_NONSENSE="${FONTE_NONSENSE:-100000}" FONTE_BROWSER_KILLS="${FONTE_BROWSER_KILLS:-50}" FONTE_TYPING_KILLS="${FONTE_TYPING_KILLS:-200}" FONTE_FLIPS="${FONTE_FLIPS:-300}"
npm run --silent lint:types
npx vitest run --testTimeout 7200000 e2e/kill.test.ts e2e/drafts.test.ts e2e/offline.test.ts e2e/protocols.test.ts server/test/hostile.test.ts server/test/upkeep.test.ts core/src/round/nonsense.test.ts core/src/day/solve/solver.test.ts core/src/simulation/estimate.test.ts
exec npx tsx scripts/mutate/run.ts
