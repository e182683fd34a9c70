#!/usr/bin/env bash
# Installs packages only when the lock file changed, then checks and builds into dist/.
set -euo pipefail
cd "$(dirname "$0")"
if [ ! -f node_modules/.installed ] || ! cmp -s package-lock.json node_modules/.installed; then
  npm ci --no-progress
  cp package-lock.json node_modules/.installed
fi
npm run build
