# One running copy of the app: MariaDB, PHP-FPM, nginx and a worker, on loopback, all below one folder.
# Needs: say.sh, ROOT; set before: STACK (the folder), HOST, PORT.

port_is_busy() { (exec 3<>"/dev/tcp/$1/$2") 2>/dev/null; }

free_port() {
  local port
  for port in $(shuf -i 20000-29999 -n 50); do
    port_is_busy 127.0.0.1 "$port" || { printf '%s' "$port"; return 0; }
  done
  return 1
}

is_ours() { [ -n "$1" ] && [ -r "/proc/$1/cmdline" ] && tr '\0' ' ' <"/proc/$1/cmdline" | grep -qF "$STACK"; }

stop_one() {
  local file=$STACK/run/$1.pid pid
  [ -f "$file" ] || return 0
  pid=$(head -n 1 "$file")
  if is_ours "$pid"; then
    kill "$pid" 2>/dev/null
    for _ in $(seq 1 200); do [ -d "/proc/$pid" ] || break; sleep 0.05; done
    [ -d "/proc/$pid" ] && kill -9 "$pid" 2>/dev/null
  fi
  rm -f "$file"
}

stop_stack() { for part in worker nginx fpm mariadb; do stop_one "$part"; done; }

clear_left_overs() {
  local part pid
  for part in worker nginx fpm mariadb; do
    pid=$(head -n 1 "$STACK/run/$part.pid" 2>/dev/null || true)
    if is_ours "$pid"; then
      say "Stopping a left-over $part (process $pid) of an earlier start"
    fi
    stop_one "$part"
  done
}

# Whose processes: www-data and mysql when we are root and they can read the project, else our own.
web_user() {
  if [ "$(id -u)" = 0 ] && setpriv --reuid=www-data --regid=www-data --clear-groups test -r "$ROOT/public/index.php"; then printf 'www-data'; else id -un; fi
}

as_mysql() { if [ "$(id -u)" = 0 ]; then setpriv --reuid=mysql --regid=mysql --clear-groups "$@"; else "$@"; fi; }

# What is written by several users lies in folders of its own: nobody else may write, or reach a socket.
lay_out_folders() {
  local user
  user=$(web_user)
  mkdir -p "$STACK/run" "$STACK/db" "$STACK/mariadb" "$STACK/log"
  chmod 750 "$STACK/run" "$STACK/log" "$STACK/db"
  touch "$STACK/log/mariadb.log" "$STACK/log/php.log" "$STACK/log/worker.log"
  if [ "$(id -u)" = 0 ]; then
    chown mysql "$STACK/mariadb" "$STACK/db" "$STACK/log/mariadb.log"
    chown "root:$(id -gn "$user")" "$STACK/run" "$STACK/log"
    chown "$user" "$STACK/log/php.log" "$STACK/log/worker.log"
    # MariaDB writes its log as its own user.
    chmod 751 "$STACK/log"
  fi
}

sql() { mariadb --no-defaults --socket="$STACK/db/mysql.sock" -u "$(if [ "$(id -u)" = 0 ]; then echo root; else id -un; fi)" -N -e "$1" "${@:2}"; }

start_mariadb() {
  lay_out_folders
  if [ ! -f "$STACK/mariadb/.complete" ]; then
    rm -rf "${STACK:?}/mariadb"; mkdir -p "$STACK/mariadb"
    [ "$(id -u)" = 0 ] && chown mysql "$STACK/mariadb"
    as_mysql mariadb-install-db --no-defaults --datadir="$STACK/mariadb" --auth-root-authentication-method=socket --skip-test-db >"$STACK/log/install-db.log" 2>&1 ||
      fail "MariaDB could not lay out its data folder." "See $STACK/log/install-db.log"
    touch "$STACK/mariadb/.complete"
  fi
  [ -f "$STACK/db-port" ] || free_port >"$STACK/db-port"
  if port_is_busy 127.0.0.1 "$(cat "$STACK/db-port")"; then free_port >"$STACK/db-port"; fi
  [ -f "$STACK/db-password" ] || head -c 18 /dev/urandom | od -An -tx1 | tr -d ' \n' >"$STACK/db-password"
  chmod 600 "$STACK/db-password"
  local as=()
  [ "$(id -u)" = 0 ] && as=(setpriv --reuid=mysql --regid=mysql --clear-groups)
  # BINLOG=yes: as a replicated database keeps it.
  "${as[@]}" mariadbd --no-defaults --datadir="$STACK/mariadb" --socket="$STACK/db/mysql.sock" --pid-file="$STACK/db/mariadb.pid" \
    --bind-address=127.0.0.1 --port="$(cat "$STACK/db-port")" --log-error="$STACK/log/mariadb.log" --skip-name-resolve \
    --innodb-buffer-pool-size=256M --innodb-flush-log-at-trx-commit="${FLUSH:-1}" --max-allowed-packet=64M ${BINLOG:+--log-bin --server-id=1 --binlog-format=ROW} >/dev/null 2>&1 </dev/null &
  echo $! >"$STACK/run/mariadb.pid"
  for _ in $(seq 1 400); do
    sql 'SELECT 1' >/dev/null 2>&1 && break
    sleep 0.05
  done
  sql 'SELECT 1' >/dev/null 2>&1 || fail "MariaDB did not start." "See $STACK/log/mariadb.log"
}

make_database() {
  sql "CREATE DATABASE IF NOT EXISTS upper_pane CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;
    CREATE USER IF NOT EXISTS 'upper_pane'@'127.0.0.1' IDENTIFIED BY '$(cat "$STACK/db-password")';
    ALTER USER 'upper_pane'@'127.0.0.1' IDENTIFIED BY '$(cat "$STACK/db-password")';
    GRANT ALL ON upper_pane.* TO 'upper_pane'@'127.0.0.1';" || fail "The database could not be made." "See $STACK/log/mariadb.log"
}

export_settings() {
  [ -f "$STACK/secret" ] || head -c 24 /dev/urandom | od -An -tx1 | tr -d ' \n' >"$STACK/secret"
  chmod 600 "$STACK/secret"
  export UPPER_PANE_VAR=$STACK UPPER_PANE_SECRET UPPER_PANE_DATABASE APP_ENV=${APP_ENV:-prod}
  UPPER_PANE_SECRET=$(cat "$STACK/secret")
  UPPER_PANE_DATABASE="mysql://upper_pane:$(cat "$STACK/db-password")@127.0.0.1:$(cat "$STACK/db-port")/upper_pane"
  UPPER_PANE_CLOCK=$(clock_setting) || exit 1
  export UPPER_PANE_CLOCK
}

# UPPER_PANE_NOW (an instant, with or without /frozen) → what the app's clock takes.
clock_setting() {
  local now=${UPPER_PANE_NOW:-} wanted
  [ -z "$now" ] && return 0
  wanted=$(date -d "${now%/frozen}" +%s%3N 2>/dev/null) || fail "UPPER_PANE_NOW=$now is no instant." "Write it like 2026-03-14T08:15:00Z, with /frozen behind it to stop the clock."
  case $now in */frozen) printf 'frozen:%s' "$wanted" ;; *) printf '%s' "$((wanted - $(date +%s%3N)))" ;; esac
}

# Fills in a configuration file of config/servers: NAME=VALUE for each @NAME@.
configured() {
  local file=$1 script=''
  shift
  for pair in "$@"; do script="$script;s|@${pair%%=*}@|$(printf '%s' "${pair#*=}" | sed 's/[&|\\]/\\&/g')|g"; done
  sed "$script" "$ROOT/config/servers/$file"
}

start_fpm() {
  local user line=''
  user=$(web_user)
  [ "$(id -u)" = 0 ] && line=$(printf 'user = %s\ngroup = %s\nlisten.owner = %s\nlisten.mode = 0600' "$user" "$(id -gn "$user")" "$user")
  configured fpm.conf VAR="$STACK" CHILDREN="${FPM_CHILDREN:-6}" UPLOAD=1030M USER="$(printf '%s' "$line" | tr '\n' '~')" | tr '~' '\n' >"$STACK/run/fpm.conf"
  "$(command -v php-fpm8.2 || command -v /usr/sbin/php-fpm8.2)" --nodaemonize $([ "$user" = root ] && echo -R) --fpm-config "$STACK/run/fpm.conf" \
    -d opcache.enable=1 -d opcache.memory_consumption=192 -d opcache.max_accelerated_files=20000 -d opcache.interned_strings_buffer=16 -d opcache.jit=tracing -d opcache.jit_buffer_size=64M \
    -d opcache.preload="$ROOT/config/preload.php" -d opcache.preload_user="$user" -d pcov.enabled=0 >"$STACK/log/fpm.out" 2>&1 &
  for _ in $(seq 1 200); do [ -S "$STACK/run/fpm.sock" ] && return 0; sleep 0.05; done
  fail "PHP-FPM did not start." "See $STACK/log/fpm.log"
}

start_nginx() {
  local user line=''
  user=$(web_user)
  [ "$(id -u)" = 0 ] && line="user $user;"
  mkdir -p "$STACK/run/nginx"
  configured nginx.conf ROOT="$ROOT" VAR="$STACK" USER="$line" WORKERS=1 LISTEN="$HOST:$PORT" UPLOAD=1030m >"$STACK/run/nginx.conf"
  "$(command -v nginx || echo /usr/sbin/nginx)" -c "$STACK/run/nginx.conf" -e "$STACK/log/nginx.log" >"$STACK/log/nginx.out" 2>&1 &
  for _ in $(seq 1 200); do port_is_busy "$HOST" "$PORT" && return 0; sleep 0.05; done
  fail "nginx did not start." "See $STACK/log/nginx.log"
}

# Three workers, so that nothing people wait for stands behind a conversion; each starts again whenever it ends, until
# it is stopped. They are the user that the web is, so that both write the same folders; they may only hand on what looks
# at files of strangers to nobody, and end that.
start_worker() {
  local as=() user
  user=$(web_user)
  if [ "$user" != root ] && [ "$(id -u)" = 0 ]; then
    as=(setpriv --reuid="$user" --regid="$(id -gn "$user")" --clear-groups --inh-caps=+setuid,+setgid,+kill --ambient-caps=+setuid,+setgid,+kill)
  fi
  STACK=$STACK ROOT=$ROOT "${as[@]}" bash -c 'serve() {
      trap "kill \$child 2>/dev/null; exit 0" TERM INT
      while :; do "$ROOT/bin/console" "$@" >>"$STACK/log/worker.log" 2>&1 & child=$!; wait $child; sleep 1; done
    }
    serve app:worker --lanes=now & first=$!; serve app:worker --lanes=soon,now & second=$!; serve app:worker --lanes=long,soon & third=$!
    serve app:acts & fourth=$!
    trap "kill $first $second $third $fourth 2>/dev/null; exit 0" TERM INT
    wait' "worker of $STACK" &
  echo $! >"$STACK/run/worker.pid"
}

# Whatever we wrote there ourselves must be the web's and the worker's to change.
give_to_web() {
  local user
  user=$(web_user)
  if [ "$user" != root ] && [ "$(id -u)" = 0 ]; then chown -R "$user" "$STACK"/{cache,published,media,fonts}; fi
}

start_web() {
  rm -rf "$STACK/cache"
  "$ROOT/bin/console" cache:warmup >"$STACK/log/cache.log" 2>&1 || fail "The app could not be prepared." "$(tail -n 5 "$STACK/log/cache.log")"
  # All folders of the media storage at once: tests run as another user than the web, and whoever makes one owns it.
  mkdir -p "$STACK/published/orders" "$STACK/published/released" "$STACK/media/uploads" "$STACK"/media/{0,1,2,3,4,5,6,7,8,9,a,b,c,d,e,f}{0,1,2,3,4,5,6,7,8,9,a,b,c,d,e,f} "$STACK/fonts"
  cp -rn "$ROOT/var/fonts/." "$STACK/fonts/" 2>/dev/null || true
  give_to_web
  chmod 755 "$STACK"
  start_fpm
  start_nginx
}
