#!/usr/bin/env bash
# Makes docs/screenshots anew from the demo.
set -euo pipefail
cd "$(dirname "$0")/.."
. scripts/install.sh
install_chromium
npm run build --silent -- --logLevel warn >/dev/null
exec node --import tsx e2e/shots.ts
