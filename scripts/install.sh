# Installs what a new machine lacks. Sourced by the other scripts, from the project's folder.
if [ ! -d node_modules ] || [ package-lock.json -nt node_modules/.package-lock.json ]; then
  npm ci --no-audit --no-fund --loglevel=error
fi

# Chromium, what reads the text of a printed form, and what the files of deploy/ are tried with.
install_chromium() {
  local missing=()
  [ -x "${CHROMIUM:-/usr/lib/chromium/chromium-headless-shell}" ] || missing+=(chromium-headless-shell)
  command -v pdftotext >/dev/null || missing+=(poppler-utils)
  command -v nginx >/dev/null || [ -x /usr/sbin/nginx ] || missing+=(nginx-light)
  command -v openssl >/dev/null || missing+=(openssl)
  command -v systemd-analyze >/dev/null || missing+=(systemd)
  [ "${#missing[@]}" -gt 0 ] || return 0
  echo "Installing ${missing[*]} from Debian's packages"
  local sudo=""
  [ "$(id -u)" = 0 ] || sudo="sudo"
  $sudo apt-get update -qq
  DEBIAN_FRONTEND=noninteractive $sudo apt-get install -y -qq "${missing[@]}" >/dev/null
}
