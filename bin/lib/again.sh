#!/usr/bin/env bash
# Runs every browser test many times, in random order, every second round beside a busy processor, and says what failed.
# bin/lib/again.sh [ROUNDS]: 20 rounds of four shares each. It goes on where it was stopped, also on another day: what was
# run stands in var/again/done, what failed in var/again/failed, with the log of each share beside them.
set -uo pipefail
ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd)
. "$ROOT/bin/lib/say.sh"
cd "$ROOT" || exit 1
rounds=${1:-20} shares=4 kept=$ROOT/var/again busy=()
mkdir -p "$kept"
touch "$kept/done" "$kept/failed"
calm() { [ ${#busy[@]} -eq 0 ] || kill "${busy[@]}" 2>/dev/null; busy=(); }
trap calm EXIT
trap 'exit 130' INT TERM

for round in $(seq 1 "$rounds"); do
  # The same order whenever the round is gone on with.
  mapfile -t classes < <(printf '%s\n' tests/Browser/*Test.php | xargs -n 1 basename -s .php | sort | shuf --random-source=<(yes "$round"))
  for share in $(seq 1 $shares); do
    grep -qx "$round/$share" "$kept/done" && continue
    mine=$(for at in "${!classes[@]}"; do [ $((at % shares + 1)) = "$share" ] && printf '%s|' "${classes[$at]}"; done)
    if [ $((round % 2)) = 0 ]; then for _ in $(seq 1 "$(nproc)"); do (while :; do :; done) & busy+=($!); done; fi
    say "Round $round of $rounds, share $share of $shares${busy[*]:+, beside a busy processor}"
    ORDER=random SEED=$((100 * round + share)) bin/test Browser "\\\\(${mine%|})::" >"$kept/$round-$share.log" 2>&1 || printf '%s/%s\n' "$round" "$share" >>"$kept/failed"
    calm
    printf '%s/%s\n' "$round" "$share" >>"$kept/done"
  done
done
say "$(wc -l <"$kept/done") shares run, $(wc -l <"$kept/failed") failed"
[ ! -s "$kept/failed" ] || { sed 's|^|  see var/again/|; s|/\([0-9]*\)$|-\1.log|' "$kept/failed"; exit 1; }
