# Sourced by ./start and ./test: installs the packages and builds the application, each only when needed.

install_packages() {
  if [ ! -f node_modules/.package-lock.json ] || [ package-lock.json -nt node_modules/.package-lock.json ]; then
    echo "Installing packages (once; about a minute and a half)"
    npm ci --no-audit --no-fund --loglevel=error
    touch node_modules/.package-lock.json
  fi
}

sources_hash() {
  find src public tools/serviceWorker.mjs app.json babel.config.js metro.config.js package-lock.json tsconfig.json -type f -print0 |
    sort -z | xargs -0 sha256sum | sha256sum | cut -d' ' -f1
}

build_if_changed() {
  local hash
  hash=$(sources_hash)
  if [ ! -f dist/index.html ] || [ "$(cat .build-stamp 2>/dev/null || true)" != "$hash" ]; then
    echo "Building the application (about a minute)"
    npm run -s export >build.log 2>&1 || { cat build.log; return 1; }
    node --import tsx tools/notices.mjs dist >>build.log || { cat build.log; return 1; }
    node tools/serviceWorker.mjs dist >>build.log 2>&1 || { cat build.log; return 1; }
    echo "$hash" >.build-stamp
  fi
}
