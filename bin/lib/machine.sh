# Brings a bare Debian 12 to where the app runs: packages, PHP and JavaScript libraries, the built front end.
# Each step is skipped when it has been done for the very same input. Needs: say.sh, ROOT.

RUN_PACKAGES="mariadb-server nginx-light php8.2-cli php8.2-fpm php8.2-mysql php8.2-gd php8.2-intl php8.2-mbstring php8.2-xml php8.2-zip php8.2-curl ffmpeg imagemagick icc-profiles-free librsvg2-bin poppler-utils fonts-roboto-unhinted fonts-lato fonts-inter fonts-open-sans fonts-noto-core fonts-ebgaramond fonts-vollkorn fonts-cantarell fonts-jetbrains-mono fonts-comfortaa fonts-quicksand fonts-crosextra-carlito fonts-sil-andika fonts-hosny-amiri fonts-yanone-kaffeesatz fonts-league-spartan fonts-droid-fallback"
TEST_PACKAGES="edid-decode zbar-tools chromium chromium-driver libharfbuzz-bin libimage-exiftool-perl python3 python3-shapely python3-dateutil python3-icalendar w3c-sgml-lib libxml2-utils poppler-utils curl"

missing_packages() {
  local package
  for package in "$@"; do
    dpkg-query -W -f='${Status}' "$package" 2>/dev/null | grep -q 'install ok installed' || printf '%s ' "$package"
  done
}

# Another apt may hold the lock for a while; a broken download is tried again.
APT="apt-get -o DPkg::Lock::Timeout=600 -o Acquire::Retries=3"

install_packages() {
  local missing
  missing=$(missing_packages "$@")
  [ -z "$missing" ] && return 0
  [ "$(id -u)" = 0 ] || fail "These Debian packages are missing: $missing" "Run this once as root, or: apt-get install $missing"
  # shellcheck disable=SC2086
  step "Looking up Debian packages" $APT update || return 1
  # Everything at once: installing PHP extensions one by one would move PHP between versions.
  # shellcheck disable=SC2086
  step "Installing Debian packages ($missing)" env DEBIAN_FRONTEND=noninteractive $APT install -y --no-install-recommends $missing || return 1
}

# Three times, with a breath between: a registry may be busy.
again() { "$@" || { sleep 5; "$@"; } || { sleep 20; "$@"; }; }

# Debian 12's own Node is 18, and the tools want 20.19: a right one comes from the registry, into var/.
NODE=22.23.3
OWN_NODE=node-linux-$(case $(uname -m) in aarch64) printf arm64 ;; *) printf x64 ;; esac)
use_node() { [ -x "$ROOT/var/node/node_modules/$OWN_NODE/bin/node" ] && export PATH="$ROOT/var/node/node_modules/$OWN_NODE/bin:$PATH"; return 0; }
need_node() {
  use_node
  is_right_node && return 0
  command -v npm >/dev/null || install_packages nodejs npm || return 1
  mkdir -p "$ROOT/var/node"
  step "Fetching Node $NODE" again npm install --prefix "$ROOT/var/node" --no-save --no-audit --no-fund "$OWN_NODE@$NODE" || return 1
  use_node
  is_right_node || fail "Node $NODE does not run on this machine." "Install Node 20.19 or newer, then run this again."
}
is_right_node() { node -e 'const [a, b] = process.versions.node.split("."); process.exit(+a > 20 || (+a === 20 && +b >= 19) ? 0 : 1)' 2>/dev/null; }

# Does a step unless the stamp says that it was done for the same files with the same tools.
once_for() {
  local stamp=$ROOT/var/stamps/$1 what=$2 files=$3 sum
  shift 3
  # shellcheck disable=SC2086
  sum=$(cd "$ROOT" && { find $files -type f -not -path '*/node_modules/*' -print0 2>/dev/null | LC_ALL=C sort -z | xargs -0 sha256sum; php -v | head -n 1; node --version; } | sha256sum)
  [ -f "$stamp" ] && [ "$(cat "$stamp")" = "$sum" ] && return 0
  step "$what" "$@" || return 1
  mkdir -p "${stamp%/*}"
  printf '%s' "$sum" >"$stamp"
}

install_php_libraries() {
  (cd "$ROOT" && COMPOSER_ALLOW_SUPERUSER=1 again composer update --no-interaction --no-progress && chmod -R a+rX vendor)
}
install_js_libraries() { (cd "$ROOT" && again npm ci --no-audit --no-fund); }
build_front_end() { (cd "$ROOT" && npx vite build && chmod -R a+rX public); }
publish_fonts() { (cd "$ROOT" && APP_ENV=prod bin/console app:fonts && chmod -R a+rX public); }

prepare_machine() {
  # shellcheck disable=SC2086
  install_packages $RUN_PACKAGES "$@" || return 1
  command -v composer >/dev/null || install_packages composer unzip || return 1
  need_node || return 1
  [ -d "$ROOT/vendor" ] || rm -f "$ROOT/var/stamps/php"
  [ -d "$ROOT/node_modules" ] || rm -f "$ROOT/var/stamps/js"
  [ -f "$ROOT/public/build/index.html" ] || rm -f "$ROOT/var/stamps/front"
  [ -f "$ROOT/public/fonts/manifest.php" ] || rm -f "$ROOT/var/stamps/fonts"
  once_for php "Installing PHP libraries" "composer.json" install_php_libraries &&
    once_for js "Installing JavaScript libraries" "package.json package-lock.json" install_js_libraries &&
    once_for fonts "Publishing fonts" "config/fonts.php src/Adapter/FontLibrary.php core/Text" publish_fonts &&
    once_for front "Building the front end" "frontend vite.config.ts package.json" build_front_end
}
