#!/usr/bin/env bash
# Makes docs/screenshots anew from the demo.
set -euo pipefail
cd "$(dirname "$0")/.."
. scripts/install.sh
install_chromium
npm run build --silent -- --logLevel warn >/dev/null
# Bundled first: what runs TypeScript as it is names functions by a helper that the page under test does not have.
node_modules/.bin/esbuild e2e/shots.ts --bundle --packages=external --platform=node --format=esm --log-level=error --outfile=e2e/dist/shots.mjs
trap 'rm -rf e2e/dist' EXIT
node --import tsx e2e/dist/shots.mjs
