# Installs what a new machine lacks. Sourced by the other scripts, from the project's folder.
if [ ! -d node_modules ] || [ package-lock.json -nt node_modules/.package-lock.json ]; then
  npm ci --no-audit --no-fund --loglevel=error
fi

# Chromium, and what reads the text of a printed form.
install_chromium() {
  [ -x "${CHROMIUM:-/usr/bin/chromium}" ] && command -v pdftotext >/dev/null && return
  echo "Installing Chromium and poppler-utils from Debian's packages"
  local sudo=""
  [ "$(id -u)" = 0 ] || sudo="sudo"
  $sudo apt-get update -qq
  DEBIAN_FRONTEND=noninteractive $sudo apt-get install -y -qq chromium poppler-utils >/dev/null
}
