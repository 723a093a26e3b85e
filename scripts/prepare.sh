# Puts in place what the project needs on a fresh machine: Node's packages and, when asked, Debian's chromium.
set -euo pipefail

say() { printf '\n== %s\n' "$*"; }

need_node() {
  if ! command -v node >/dev/null || [ "$(node -p 'process.versions.node.split(".")[0]')" -lt 20 ]; then
    echo "Schleuse needs Node.js 20 or newer: https://nodejs.org or your distribution's package." >&2
    exit 1
  fi
}

# The lock file is followed as it stands; --no-save keeps it so on systems whose platform packages it does not list.
need_packages() {
  local stamp=node_modules/.schleuse-installed
  if [ ! -f "$stamp" ] || [ package-lock.json -nt "$stamp" ] || [ package.json -nt "$stamp" ]; then
    say "Installing packages"
    npm install --no-save --no-audit --no-fund --loglevel=error
    touch "$stamp"
  fi
}

# The one without windows starts and loads in two thirds of the time; where it cannot be had, the whole one does.
need_chromium() {
  if [ -n "${CHROMIUM:-}" ] || [ -x /usr/bin/chromium-headless-shell ]; then return; fi
  say "Installing Debian's chromium"
  install_debian chromium-headless-shell || [ -x /usr/bin/chromium ] || install_debian chromium
}

install_debian() {
  local sudo=""
  [ "$(id -u)" = 0 ] || sudo="sudo"
  $sudo apt-get update -qq &&
    DEBIAN_FRONTEND=noninteractive $sudo apt-get install -y -qq --no-install-recommends "$1" >/dev/null
}
