#!/usr/bin/env bash
# Tries bin/demo and bin/test in a Debian 12 that has nothing but apt: bin/lib/bare.sh [FOLDER]. Takes root, debootstrap and a
# quarter of an hour, so it is not part of bin/test. What the clients of this machine know of their registries is taken along.
set -euo pipefail
ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd)
BARE=${1:-/tmp/bare-debian}
command -v debootstrap >/dev/null || { echo "Install debootstrap first." >&2; exit 1; }

away() { for place in dev/shm dev/pts dev proc; do umount -l "$BARE/$place" 2>/dev/null || true; done; }
inside() { chroot "$BARE" env -i HOME=/root PATH=/usr/local/sbin:/usr/local/bin:/usr/sbin:/usr/bin:/sbin:/bin LANG=C.UTF-8 "${settings[@]}" "$@"; }
trap away EXIT

mirror=$(apt-get indextargets --format '$(REPO_URI)' 'Codename: bookworm' 'Identifier: Packages' | head -n 1)
[ -f "$BARE/etc/debian_version" ] || debootstrap --variant=minbase --include=ca-certificates bookworm "$BARE" "$mirror"
cp -r /etc/apt/. "$BARE/etc/apt/"
cp /etc/resolv.conf /etc/hosts "$BARE/etc/"
mkdir -p "$BARE/etc/ssl/certs" "$BARE/root/.config"
cp -L /etc/ssl/certs/ca-certificates.crt "$BARE/etc/ssl/certs/"
for file in /etc/npmrc /root/.npmrc; do [ -f "$file" ] && cp "$file" "$BARE$file"; done
[ -d /root/.config/composer ] && cp -r /root/.config/composer "$BARE/root/.config/"
mapfile -t settings < <(env | grep -iE '^(https?_proxy|no_proxy|NODE_EXTRA_CA_CERTS|SSL_CERT_FILE|CURL_CA_BUNDLE|npm_config_[a-z]+|COMPOSER_[A-Z_]+)=' || true)
mkdir -p "$BARE"/{proc,dev}
mount --bind /proc "$BARE/proc"
mount --bind /dev "$BARE/dev"
mount -t tmpfs tmpfs "$BARE/dev/shm"

rm -rf "$BARE/srv/pane"
git clone -q "$ROOT" "$BARE/srv/pane"
started=$(date +%s)
inside bash -c 'cd /srv/pane && { bin/demo --port 8499 >/tmp/demo.log 2>&1 & }; demo=$!
  while kill -0 $demo 2>/dev/null && ! grep -q "Ctrl-C stops" /tmp/demo.log; do sleep 1; done
  tail -n 14 /tmp/demo.log; grep -q "Ctrl-C stops" /tmp/demo.log; result=$?; kill -TERM $demo 2>/dev/null; wait $demo; exit $result'
echo "bin/demo: ready after $(($(date +%s) - started)) s"
started=$(date +%s)
inside bash -c 'cd /srv/pane && bin/test'
echo "bin/test: passed after $(($(date +%s) - started)) s"
