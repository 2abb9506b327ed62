#!/usr/bin/env bash
# What takes longer than `npm test` may: a thousand kills in mid-stream, a hundred thousand generated requests.
set -euo pipefail
cd "$(dirname "$0")/.."
. scripts/install.sh
npm run build --silent -- --logLevel warn >/dev/null
export FONTE_KILLS="${FONTE_KILLS:-1000}" FONTE_NONSENSE="${FONTE_NONSENSE:-100000}"
exec npx vitest run --testTimeout 7200000 e2e/kill.test.ts server/test/hostile.test.ts
