#!/bin/sh
# Builds the page (or runs its tests) only when something it is made of is newer than the last time.
set -eu
cd "$(dirname "$0")"
mkdir -p target

newer() { # is anything in the listed places newer than the stamp?
  stamp=$1
  shift
  [ ! -f "$stamp" ] || [ -n "$(find "$@" -newer "$stamp" -type f ! -name schema.d.ts 2>/dev/null | head -n 1)" ]
}

if [ ! -d node_modules ] || newer target/installed package.json package-lock.json .npmrc; then
  npm ci --no-fund --no-audit --loglevel=error
  touch target/installed
fi

if [ "${1:-build}" = test ]; then
  if newer target/tested src package.json vite.config.ts ../formats/src/test/resources; then
    npm run --silent lint
    npm run --silent test
    touch target/tested
  fi
elif [ ! -f dist/index.html ] || newer target/built src public index.html package.json vite.config.ts tsconfig.json; then
  npm run --silent build
  touch target/built
fi
