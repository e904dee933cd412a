# Shared by the scripts in bin/: what must be there before anything runs. Sourced, never run.
# shellcheck shell=bash

ROOT="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
RUNTIME="$ROOT/.runtime"
DATA="${VIVID_PULL_DATA:-$RUNTIME}" # the workshop's own data, its secrets and its backups
LEAST_NODE=20019 # Vite asks for Node 20.19 or newer
DB_ADMIN="$(id -un)" # the database knows its keeper by the account on this machine, and by no password
# What is made here holds secrets, logs and backups: nobody else on this machine reads it. They may pass through, not look.
umask 077
mkdir -p "$RUNTIME" "$DATA"
chmod 711 "$RUNTIME" "$DATA" 2>/dev/null
cd "$ROOT" || exit 1
export COMPOSER_ALLOW_SUPERUSER=1 COMPOSER_NO_INTERACTION=1

say() { printf '  %s\n' "$*"; }
fail() { printf '\n  %s\n' "$*" >&2; exit 1; }

# keep_short LOG...: one that has grown past 5 MB is begun again, the one before kept beside it. Whoever writes it appends.
keep_short() {
    local log
    for log in "$@"; do
        [ -f "$log" ] && [ "$(stat -c %s "$log")" -gt 5000000 ] && cp -- "$log" "$log.1" && : >"$log"
    done
    return 0
}

# Runs quietly; shows what was printed only when it failed.
quietly() {
    local what="$1" log
    shift
    log="$(mktemp)"
    if ! "$@" >"$log" 2>&1 </dev/null; then
        tail -n 40 "$log" >&2
        rm -f "$log"
        fail "$what failed; what it printed is above."
    fi
    rm -f "$log"
}

has() { command -v "$1" >/dev/null 2>&1; }
php_has() { php -r "exit(extension_loaded('$1') ? 0 : 1);" 2>/dev/null; }

# need_packages COMMAND=PACKAGE... ext:EXTENSION=PACKAGE... /FILE=PACKAGE...
need_packages() {
    local pair wanted missing=()
    for pair in "$@"; do
        wanted="${pair%%=*}"
        case "$wanted" in
            ext:*) has php && php_has "${wanted#ext:}" || missing+=("${pair#*=}") ;;
            /*) [ -e "$wanted" ] || missing+=("${pair#*=}") ;;
            *) has "$wanted" || missing+=("${pair#*=}") ;;
        esac
    done
    [ "${#missing[@]}" -eq 0 ] && return
    [ "$(id -u)" -eq 0 ] || fail "These Debian packages are missing: ${missing[*]}. Install them, or run this as root."
    say "Installing Debian packages: ${missing[*]}"
    quietly 'apt-get update' apt-get update -qq
    without_services "${missing[@]}"
}

# has_r_package NAME: whether R here can load it.
has_r_package() { Rscript --vanilla -e "quit(status = !requireNamespace('$1', quietly = TRUE))" >/dev/null 2>&1; }

# need_r_packages NAME...: Debian's packages of them.
need_r_packages() {
    local name
    for name in "$@"; do
        has_r_package "$name" || need_packages "no-such-command-as-$name=r-cran-$name"
    done
}

# without_services PACKAGE...: installs them, and begins none of the servers that Debian would begin of its own, now or at the next boot: the
# workshop begins what it needs, and a machine's other ports are its own.
without_services() {
    local ours=0 package
    if [ ! -e /usr/sbin/policy-rc.d ]; then
        printf '#!/bin/sh\nexit 101\n' >/usr/sbin/policy-rc.d && chmod 755 /usr/sbin/policy-rc.d && ours=1
    fi
    (DEBIAN_FRONTEND=noninteractive quietly 'apt-get install' apt-get install -y -qq --no-install-recommends "$@")
    local code=$?
    [ "$ours" = 0 ] || rm -f /usr/sbin/policy-rc.d
    [ "$code" = 0 ] || exit 1
    [ -d /run/systemd/system ] || return 0
    for package in "$@"; do
        case "$package" in
            nginx | php8.2-fpm) systemctl disable "$package" >/dev/null 2>&1 ;;
            mariadb-server) systemctl disable mariadb >/dev/null 2>&1 ;;
        esac
    done
    return 0
}

need_server_packages() {
    need_packages php=php8.2-cli ext:pdo_mysql=php8.2-mysql ext:mbstring=php8.2-mbstring ext:dom=php8.2-xml \
        ext:curl=php8.2-curl ext:zip=php8.2-zip ext:gd=php8.2-gd composer=composer unzip=unzip mariadbd=mariadb-server \
        node=nodejs npm=npm setsid=util-linux
    need_node
}

node_version() { node -p 'const [a, b] = process.versions.node.split("."); a * 1000 + Number(b)' 2>/dev/null || echo 0; }

# Debian's own Node may be too old for the build; the registry has one that is not.
need_node() {
    [ -d "$RUNTIME/node/node_modules/.bin" ] && export PATH="$RUNTIME/node/node_modules/.bin:$PATH"
    [ "$(node_version)" -ge "$LEAST_NODE" ] && return
    say 'Installing a newer Node'
    mkdir -p "$RUNTIME/node"
    quietly 'npm install node' npm install --prefix "$RUNTIME/node" --no-audit --no-fund node@20
    export PATH="$RUNTIME/node/node_modules/.bin:$PATH"
}

# Does something only when the files it depends on changed since it last went well.
once_for() {
    local name="$1" proof="$2" sum
    shift 2
    sum="$(stamp)"
    is_current "$name" "$proof" && return
    "$@"
    echo "$sum" >"$RUNTIME/$name.sum"
}
stamp() { cat "${STAMPED_FILES[@]}" 2>/dev/null | sha256sum | cut -d' ' -f1; }
# is_current NAME PROOF: whether it went well with the files as they are.
is_current() { [ -e "$2" ] && [ "$(cat "$RUNTIME/$1.sum" 2>/dev/null)" = "$(stamp)" ]; }

# need_vendor [tests]: the workshop runs without the packages of its tests.
need_vendor() {
    STAMPED_FILES=(composer.json composer.pins)
    if [ "${1:-}" = tests ] || is_current composer-tests vendor/bin/phpunit; then
        once_for composer-tests vendor/bin/phpunit install_vendor
    else
        once_for composer vendor/autoload.php install_vendor --no-dev
    fi
}
# install_vendor [--no-dev]: the pinned versions, and nothing else than what was pinned. Code is no secret: the account that serves reads it.
install_vendor() {
    local pins
    say 'Installing PHP packages'
    mapfile -t pins < <(php bin/pins with)
    if ! (umask 022 && composer update --no-progress --prefer-dist "$@" "${pins[@]}" >"$RUNTIME/composer.log" 2>&1 </dev/null); then
        tail -n 20 "$RUNTIME/composer.log" >&2
        fail 'The pinned PHP packages could not be had; what composer said is above.'
    fi
    php bin/pins check >"$RUNTIME/pins.log" || { cat "$RUNTIME/pins.log" >&2; fail 'Nothing is run that is not what was pinned.'; }
}

need_node_modules() {
    STAMPED_FILES=(package-lock.json)
    once_for npm node_modules/.bin/vite install_node_modules
}
install_node_modules() { say 'Installing front-end packages'; quietly 'npm ci' npm ci --no-audit --no-fund; }

need_build() {
    mapfile -t STAMPED_FILES < <(find resources/js vite.config.ts vite.offline.config.ts package-lock.json -type f | sort)
    once_for build public/build/manifest.json build_front_end
}
# What only builds is fetched only when there is something to build.
build_front_end() { need_node_modules; say 'Building the front end'; (umask 022 && quietly 'vite build' npm run --silent build) || exit 1; }

# answers ADDRESS PORT: whether somebody listens there; an address of all is asked at this machine's own.
answers() { ! port_is_free "$([ "$1" = 0.0.0.0 ] && echo 127.0.0.1 || echo "$1")" "$2"; }

port_is_free() { ! (exec 3<>"/dev/tcp/$1/$2") 2>/dev/null; }

# free_port ADDRESS FIRST: the first port from FIRST on that nobody listens on.
free_port() {
    local port="$2"
    while ! port_is_free "$1" "$port"; do port=$((port + 1)); done
    echo "$port"
}

# An eighth of the memory for the database's pages, from 256 MB to 2 GB.
pages_mb() {
    local eighth=$(($(awk '/^MemTotal/ { print $2 }' /proc/meminfo 2>/dev/null || echo 2097152) / 8192))
    [ "$eighth" -lt 256 ] && eighth=256
    [ "$eighth" -gt 2048 ] && eighth=2048
    echo "$eighth"
}

# prepare_mariadb FOLDER FIRST_PORT [OPTION...]: the data stay in FOLDER; sets MARIADB, its command, and DB_PORT.
prepare_mariadb() {
    local folder="$1" first="$2" user data run
    shift 2
    user="$(id -un)"
    data="$folder/data"
    run="$folder"
    mkdir -p "$folder"
    AS_DB=()
    if [ "$(id -u)" -eq 0 ]; then
        # A checkout that the mysql user cannot reach, such as one under a private home, is served as root.
        chown mysql "$folder" 2>/dev/null
        if setpriv --reuid=mysql --regid=mysql --clear-groups test -w "$folder" 2>/dev/null; then
            user=mysql
            # What is kept ends with its keeper, even by force.
            AS_DB=(setpriv --reuid=mysql --regid=mysql --clear-groups ${KEPT:+--pdeathsig KILL})
        fi
    fi
    [ "${#run}" -gt 80 ] && run="$(mktemp -d)" && { [ "$user" = "$(id -un)" ] || chown "$user" "$run"; }
    DB_SOCKET="$run/mariadb.sock"
    # A server that begins, also to make its system tables, strikes off every temporary table where it writes its own, and another server that uses one then falls: each has its own place.
    mkdir -p "$folder/tmp"
    [ "$user" = "$(id -un)" ] || chown "$user" "$folder/tmp"
    if [ ! -d "$data/mysql" ]; then
        quietly 'mariadb-install-db' env TMPDIR="$folder/tmp" mariadb-install-db --user="$user" --datadir="$data" --auth-root-authentication-method=socket --auth-root-socket-user="$DB_ADMIN" --skip-test-db
    fi
    [ "$user" != mysql ] || chown -R mysql:mysql "$data"
    rm -f "$DB_SOCKET"
    keep_short "$folder/mariadb.log"
    DB_LOG="$folder/mariadb.log"
    DB_PORT="$(free_port 127.0.0.1 "$first")"
    MARIADB=("${AS_DB[@]}" "$(command -v mariadbd)" --no-defaults --user="$user" --datadir="$data" --socket="$DB_SOCKET" --pid-file="$run/mariadb.pid"
        --bind-address=127.0.0.1 --port="$DB_PORT" --tmpdir="$folder/tmp" --skip-name-resolve --innodb-use-native-aio=0 --port-open-timeout=10 --innodb-buffer-pool-size="$(pages_mb)M" "$@")
}

# await_mariadb: until it answers; DB_PID is whoever runs it.
await_mariadb() {
    local _
    for _ in $(seq 1 150); do
        mariadb-admin --no-defaults --socket="$DB_SOCKET" -u"$DB_ADMIN" ping >/dev/null 2>&1 && lock_database && return
        kill -0 "$DB_PID" 2>/dev/null || break
        sleep 0.2
    done
    tail -n 20 "$DB_LOG" >&2
    fail 'MariaDB did not start; its last lines are above. Is another copy of this workshop still running?'
}

# start_mariadb FOLDER FIRST_PORT [OPTION...]: for the while that a script needs it; sets DB_PORT and DB_PID.
start_mariadb() {
    prepare_mariadb "$@"
    setsid "${MARIADB[@]}" </dev/null >>"$DB_LOG" 2>&1 &
    DB_PID=$!
    await_mariadb
}

# lock_database: its keeper comes in by the socket and as who they are on this machine, and nobody else is a keeper. A database of an older
# version let everybody be root.
lock_database() {
    local ask=(mariadb --no-defaults --socket="$DB_SOCKET" -u"$DB_ADMIN" --batch --skip-column-names) others
    # An older one knows only a root without a password.
    "${ask[@]}" -e 'SELECT 1' >/dev/null 2>&1 || mariadb --no-defaults --socket="$DB_SOCKET" -uroot \
        -e "CREATE USER '$DB_ADMIN'@'localhost' IDENTIFIED VIA unix_socket; GRANT ALL ON *.* TO '$DB_ADMIN'@'localhost' WITH GRANT OPTION" 2>/dev/null
    others="$("${ask[@]}" -e "SELECT CONCAT('DROP USER IF EXISTS ', QUOTE(User), '@', QUOTE(Host), ';') FROM mysql.global_priv
        WHERE (User = '' OR User IN ('root', '$DB_ADMIN')) AND NOT (User = '$DB_ADMIN' AND Host = 'localhost')")" || return 1
    "${ask[@]}" <<SQL
ALTER USER '$DB_ADMIN'@'localhost' IDENTIFIED VIA unix_socket;
$others
SQL
}

# The workshop's own key and secret, made once.
new_secrets() {
    [ -f "$DATA/env" ] && return
    (umask 077 && printf 'APP_KEY=base64:%s\nDB_PASSWORD=%s\n' "$(head -c 32 /dev/urandom | base64)" "$(head -c 24 /dev/urandom | base64 | tr -dc 'a-zA-Z0-9')" >"$DATA/env")
}

# The port that the running workshop's database listens on; nothing where none runs. After a power cut another process may have its number.
running_port() {
    local pid
    pid="$(cat "$DATA/workshop/pid" 2>/dev/null)"
    [ -f "$DATA/workshop/port" ] && [ -n "$pid" ] && { tr '\0' ' ' <"/proc/$pid/cmdline"; } 2>/dev/null | grep -qF -- "--datadir=$DATA/workshop/data" && cat "$DATA/workshop/port"
}

# open_workshop: the database of the workshop, as it runs or started for the while; its name, user and secret for all that follows.
open_workshop() {
    [ -f "$DATA/env" ] && [ -d "$DATA/workshop/data" ] || fail 'There is no workshop here yet. Begin one with bin/start.'
    set -a
    . "$DATA/env"
    set +a
    OPENED_HERE=0
    DB_PORT="$(running_port)"
    if [ -z "$DB_PORT" ]; then
        start_mariadb "$DATA/workshop" 3317
        OPENED_HERE=1
    fi
    use_workshop
}

use_workshop() {
    export APP_ENV=production APP_DEBUG=false DB_CONNECTION=mariadb DB_HOST=127.0.0.1 DB_PORT DB_DATABASE=vivid_pull DB_USERNAME=vivid_pull
    export LOG_CHANNEL=daily LOG_LEVEL=warning APP_CONFIG_CACHE="${APP_CONFIG_CACHE:-.runtime/none/config.php}"
}

close_workshop() {
    [ "${OPENED_HERE:-0}" = 1 ] && stop_mariadb && wait "$DB_PID" 2>/dev/null
}

# dump_workshop FILE: one moment of the whole database, compressed, with its sum beside it. Half a file is never left under the name.
dump_workshop() {
    local file="$1" half="$1.half"
    if ! (set -o pipefail; mariadb-dump --no-defaults -h127.0.0.1 -P"$DB_PORT" -u"$DB_USERNAME" -p"$DB_PASSWORD" --single-transaction --skip-dump-date --hex-blob \
        --no-tablespaces --ignore-table=vivid_pull.sessions --ignore-table=vivid_pull.cache --ignore-table=vivid_pull.cache_locks "$DB_DATABASE" 2>/dev/null | gzip -n >"$half") 2>/dev/null \
        || ! gzip -t "$half" 2>/dev/null || ! zcat "$half" | tail -c 200 | grep -q 'Dump completed'; then
        rm -f "$half"
        say 'The backup could not be written in full: is the disk full? Nothing of it was kept, and the workshop is as it was.'
        df -h "$(dirname "$file")" 2>/dev/null | sed 's/^/    /'
        return 1
    fi
    mv "$half" "$file" && (cd "$(dirname "$file")" && sha256sum "$(basename "$file")" >"$(basename "$file").sha256")
}

# As whoever runs this; the web servers' own account takes its place where there is one.
artisan() { php artisan "$@"; }

# upgrade_tables: what a new version changes about the tables is done only once the data are safe as they were.
upgrade_tables() {
    local changes=0
    if artisan migrate:status --no-ansi 2>/dev/null | grep -q Ran && artisan migrate:status --no-ansi --pending 2>/dev/null | grep -q Pending; then
        say 'The tables change with this version; backing up first'
        mkdir -p "$DATA/backups"
        dump_workshop "$DATA/backups/before-upgrade-$(date +%Y%m%d-%H%M%S).sql.gz" || fail 'Without a backup nothing is changed. Make room on the disk and start again.'
        changes=1
    fi
    quietly 'migrate' artisan migrate --force
    [ "$changes" -eq 0 ] || quietly 'due dates' artisan workshop:due
}

stop_mariadb() { mariadb-admin --no-defaults --socket="$DB_SOCKET" -u"$DB_ADMIN" shutdown >/dev/null 2>&1; }

# make_database NAME PASSWORD: a database and a user that can do nothing outside it.
make_database() {
    mariadb --no-defaults --socket="$DB_SOCKET" -u"$DB_ADMIN" <<SQL
CREATE DATABASE IF NOT EXISTS \`$1\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;
CREATE USER IF NOT EXISTS '$1'@'127.0.0.1' IDENTIFIED BY '$2';
ALTER USER '$1'@'127.0.0.1' IDENTIFIED BY '$2';
GRANT ALL ON \`$1\`.* TO '$1'@'127.0.0.1';
SQL
}
