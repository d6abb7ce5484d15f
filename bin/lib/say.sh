# Words on the terminal, the same for every program here.

say() { printf '\033[1m%s\033[0m %s\n' "▪" "$*"; }
fail() { printf '\033[31m✗ %s\033[0m\n' "$1" >&2; [ -n "${2:-}" ] && printf '  %s\n' "$2" >&2; exit 1; }

# Runs a long step quietly; its output is shown only when it fails.
step() {
  local what=$1 log started
  shift
  log=$(mktemp)
  started=$(date +%s)
  printf '▪ %s …' "$what"
  if "$@" >"$log" 2>&1; then
    printf '\r▪ %s: done in %s s\033[K\n' "$what" "$(($(date +%s) - started))"
    rm -f "$log"
  else
    printf '\r\033[31m✗ %s failed:\033[0m\033[K\n' "$what" >&2
    tail -n 60 "$log" >&2
    rm -f "$log"
    return 1
  fi
}
