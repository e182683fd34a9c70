#!/usr/bin/env bash
# Installs packages only when the lock file changed and writes types only when the description did, then checks and builds
# into dist/; with "packages" only the first two.
set -euo pipefail
cd "$(dirname "$0")"
(
  flock 9  # the build and the tests may ask at once
  if [ ! -f node_modules/.installed ] || ! cmp -s package-lock.json node_modules/.installed; then
    npm ci --no-progress
    cp package-lock.json node_modules/.installed
  fi
  [ src/api/schema.d.ts -nt openapi.json ] || npm run -s types
) 9>.packages.lock
[ "${1:-}" = packages ] || npm run build
