#!/usr/bin/env bash
# From a fresh clone: installs what is missing, builds the page, loads the demo into a fresh database and serves it.
set -euo pipefail
cd "$(dirname "$0")/.."
. scripts/install.sh
npm run build --silent -- --logLevel warn >/dev/null
exec node server/dist/demo.js
