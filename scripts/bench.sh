#!/usr/bin/env bash
# Measures what the product promises and prints sizes and units. Never part of the tests.
set -euo pipefail
cd "$(dirname "$0")/.."
. scripts/install.sh
npm run build --silent -- --logLevel warn >/dev/null
node --import tsx scripts/bench/build.ts
exec node server/dist/bench.js "$@"
