# Installs what a new machine lacks. Sourced by the other scripts, from the project's folder.
if [ ! -d node_modules ] || [ package-lock.json -nt node_modules/.package-lock.json ]; then
  npm ci --no-audit --no-fund --loglevel=error
fi

install_chromium() {
  [ -x "${CHROMIUM:-/usr/bin/chromium}" ] && return
  echo "Installing Chromium from Debian's packages"
  local sudo=""
  [ "$(id -u)" = 0 ] || sudo="sudo"
  $sudo apt-get update -qq
  DEBIAN_FRONTEND=noninteractive $sudo apt-get install -y -qq chromium >/dev/null
}
