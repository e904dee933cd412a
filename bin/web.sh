# Shared by bin/start and the tests: nginx in front of php-fpm, as an account that owns nothing else. Sourced after lib.sh, never run.
# shellcheck shell=bash

WEB="$DATA/web" # sockets, logs and temporary files of the web servers, and what the application writes
WEB_USER="$(id -un)"
LOGS="$DATA/logs" # what those who serve print
AS_WEB=()
FRONT="${FRONT:-$ROOT/public/index.php}" # where every request that is no file goes in

BROTLI=/usr/lib/nginx/modules/ngx_http_brotli_static_module.so
need_web_packages() {
    need_packages nginx=nginx php-fpm8.2=php8.2-fpm openssl=openssl pgrep=procps
    # It serves scripts a seventh smaller. Where it cannot be had, they are served by gzip alone.
    [ "$(id -u)" -ne 0 ] || (need_packages "$BROTLI=libnginx-mod-http-brotli-static") || true
}

# choose_web_user: root serves as an account of its own, where that account can read the workshop's files.
choose_web_user() {
    mkdir -p "$WEB" "$LOGS"
    [ "$(id -u)" -eq 0 ] || return 0
    id vivid-pull >/dev/null 2>&1 || quietly 'useradd' useradd --system --user-group --no-create-home --home-dir /nonexistent --shell /usr/sbin/nologin vivid-pull
    # Code may be read by everybody; it holds no secret.
    chmod -R a+rX vendor public 2>/dev/null
    chmod a+rx bootstrap bootstrap/cache 2>/dev/null
    if setpriv --reuid=vivid-pull --regid=vivid-pull --clear-groups bash -c 'cat "$0/public/index.php" "$0/vendor/autoload.php" "$0/core/autoload.php" >/dev/null && cd "$1"' "$ROOT" "$WEB/.." 2>/dev/null; then
        WEB_USER=vivid-pull
        AS_WEB=(setpriv --reuid=vivid-pull --regid=vivid-pull --clear-groups --pdeathsig KILL)
        return 0
    fi
    say "The account vivid-pull cannot read $ROOT, so the web server would run as root."
    say 'Put the workshop where everybody may read, such as /opt/vivid-pull, and start it there.'
    return 1
}

# use_web_folders: where the application writes when it is served; everything of it belongs to the account that serves.
use_web_folders() {
    export LARAVEL_STORAGE_PATH="$WEB/storage"
    export APP_CONFIG_CACHE="$WEB/cache/config.php" APP_ROUTES_CACHE="$WEB/cache/routes.php" APP_EVENTS_CACHE="$WEB/cache/events.php"
    export APP_SERVICES_CACHE="$WEB/cache/services.php" APP_PACKAGES_CACHE="$WEB/cache/packages.php"
    rm -rf "$WEB/cache" "$WEB/opcache"
    mkdir -p "$WEB/cache" "$WEB/opcache" "$WEB/log" "$WEB/tmp" "$WEB"/storage/{app,logs,framework/{cache,sessions,views,fonts}}
    # What was read in by an older version, and waits.
    [ -d storage/app/imports ] && [ ! -d "$WEB/storage/app/imports" ] && cp -r storage/app/imports "$WEB/storage/app/" 2>/dev/null
    [ "$WEB_USER" = "$(id -un)" ] || chown -R "$WEB_USER:$WEB_USER" "$WEB"
}

artisan() { "${AS_WEB[@]}" php artisan "$@"; }

# write_fpm FILE SOCKET PROCESSES: the application, on a socket that only the account that serves may open. Screens that listen to gauges hold a
# process each for as long as they do, so those are a pool of their own, never in the way of the others. Some always wait: one that is begun
# only when it is asked for is begun late where several ask at once.
write_fpm() {
    local file="$1" socket="$2" processes="$3"
    {
        printf '[global]\nerror_log = %s\ndaemonize = no\nlog_limit = 4096\n' "$WEB/log/php.log"
        # As many as there are, always: one that is killed is there again at once.
        fpm_pool workshop "$socket" "pm = static\npm.max_children = $processes\npm.max_requests = 5000\n"
        fpm_pool streams "$(streams_of "$socket")" "pm = dynamic\npm.max_children = 40\npm.start_servers = 3\npm.min_spare_servers = 3\npm.max_spare_servers = 8\npm.max_requests = 500\n"
    } >"$file"
}
streams_of() { echo "${1%.sock}.streams.sock"; }
# fpm_pool NAME SOCKET PROCESSES
fpm_pool() {
    local name
    printf '[%s]\nlisten = %s\nlisten.mode = 0600\n' "$1" "$2"
    [ "$(id -u)" -ne 0 ] || [ "$WEB_USER" != root ] || printf 'user = root\ngroup = root\n'
    # shellcheck disable=SC2059 # lines of its own
    printf "$3"
    printf 'request_terminate_timeout = 180s\ncatch_workers_output = yes\ndecorate_workers_output = no\nclear_env = yes\n'
    for name in PATH LARAVEL_STORAGE_PATH APP_CONFIG_CACHE APP_ROUTES_CACHE APP_EVENTS_CACHE APP_SERVICES_CACHE APP_PACKAGES_CACHE; do
        printf 'env[%s] = "%s"\n' "$name" "${!name}"
    done
    printf 'php_admin_value[memory_limit] = 512M\nphp_admin_value[post_max_size] = 136M\nphp_admin_value[upload_max_filesize] = 136M\nphp_admin_value[error_log] = %s\n' "$WEB/log/php.log"
    printf 'php_admin_flag[display_errors] = off\nphp_admin_flag[expose_php] = off\nphp_admin_flag[zend.enable_gc] = off\n'
}

# fpm FILE: the command that serves by it.
fpm() {
    FPM=("$(command -v php-fpm8.2)" --nodaemonize --fpm-config "$1" -d expose_php=0 -d opcache.enable=1 -d opcache.preload="$ROOT/bootstrap/preload.php"
        -d opcache.jit_buffer_size=32M -d opcache.jit=function
        # What was compiled once is there again at once when the application is begun again.
        -d opcache.file_cache="$WEB/opcache")
    [ "$WEB_USER" = root ] && FPM+=(-d opcache.preload_user=root --allow-to-run-as-root)
    return 0
}

# to_app SOCKET: what nginx says to the application. No connection is kept open: each would hold one of the application's few processes while
# nobody asks, and others would wait for it.
to_app() {
    cat <<NGINX
            fastcgi_param QUERY_STRING \$query_string;
            fastcgi_param REQUEST_METHOD \$request_method;
            fastcgi_param CONTENT_TYPE \$content_type;
            fastcgi_param CONTENT_LENGTH \$content_length;
            fastcgi_param REQUEST_URI \$request_uri;
            fastcgi_param SERVER_PROTOCOL \$server_protocol;
            fastcgi_param HTTPS \$https if_not_empty;
            fastcgi_param REMOTE_ADDR \$remote_addr;
            fastcgi_param SERVER_ADDR \$server_addr;
            fastcgi_param SERVER_PORT \$server_port;
            fastcgi_param SERVER_NAME \$host;
            fastcgi_param HTTP_HOST \$host:\$asked_port;
            fastcgi_param HTTP_PROXY "";
            fastcgi_param SCRIPT_FILENAME $FRONT;
            fastcgi_param SCRIPT_NAME /index.php;
            fastcgi_pass $1;
            fastcgi_read_timeout 180s;
            fastcgi_buffers 32 16k;
            fastcgi_buffer_size 32k;
NGINX
}

# write_nginx FILE UPSTREAM ADDRESS PORT [HTTPS_PORT]: with a port for HTTPS, plain http only says how to trust the workshop and leads there.
# UPSTREAM is one or several sockets of the application.
write_nginx() {
    local file="$1" sockets="$2" address="$3" port="$4" https="${5:-}" socket upstream='' streams=''
    for socket in $sockets; do
        upstream+="        server unix:$socket max_fails=2 fail_timeout=1s;"$'\n'
        streams+="        server unix:$(streams_of "$socket") max_fails=2 fail_timeout=1s;"$'\n'
    done
    # An address of the newer kind stands in brackets.
    case "$address" in *:*) address="[$address]" ;; esac
    cat >"$file" <<NGINX
$([ -e "$BROTLI" ] && echo "load_module $BROTLI;")
daemon off;
worker_processes 2;
pid $WEB/nginx.pid;
error_log stderr warn;
$([ "$WEB_USER" = root ] && echo 'user root;')
events { worker_connections 1024; }
http {
    include /etc/nginx/mime.types;
    types { application/manifest+json webmanifest; }
    default_type application/octet-stream;
    server_tokens off;
    access_log off;
    sendfile on;
    tcp_nopush on;
    keepalive_timeout 75s;
    client_body_temp_path $WEB/tmp/body;
    proxy_temp_path $WEB/tmp/proxy;
    fastcgi_temp_path $WEB/tmp/fastcgi;
    uwsgi_temp_path $WEB/tmp/uwsgi;
    scgi_temp_path $WEB/tmp/scgi;
    client_body_timeout 30s;
    client_header_timeout 15s;
    client_max_body_size 300k;
    gzip on;
    gzip_vary on;
    gzip_min_length 512;
    gzip_types text/css text/javascript application/javascript application/json application/problem+json application/manifest+json image/svg+xml;
    ssl_protocols TLSv1.2 TLSv1.3;
    ssl_session_cache shared:workshop:4m;
    ssl_session_timeout 1d;
    # The port that was asked for, which may be another than this machine's where it is led here from elsewhere.
    map \$http_host \$asked_port {
        "~:(?<named>[0-9]{1,5})\$" \$named;
        default \$server_port;
    }
    upstream workshop {
$upstream    }
    upstream streams {
$streams    }
NGINX
    if [ -n "$https" ]; then
        cat >>"$file" <<NGINX
    server {
        listen $address:$port;
        root $ROOT/public;
        location ^~ /build/ { gzip_static on; try_files \$uri =404; }
        location = /icon.svg { }
        location = /trust {
$(to_app workshop)
        }
        location ^~ /trust/ {
$(to_app workshop)
        }
        location = /api/trust {
$(to_app workshop)
        }
        location / { return 308 https://\$host:$https\$request_uri; }
    }
NGINX
    fi
    cat >>"$file" <<NGINX
    server {
        listen $address:${https:-$port}$([ -n "$https" ] && echo ' ssl http2');
$([ -n "$https" ] && printf '        ssl_certificate %s;\n        ssl_certificate_key %s;\n        error_page 497 =308 https://$host:%s$request_uri;\n' "$WEB/tls/server.crt" "$WEB/tls/server.key" "$https")
        root $ROOT/public;
        error_page 502 503 504 /errors/away.html;
        error_page 413 /errors/too-large.html;
        location ^~ /errors/ { internal; }
        location ^~ /build/ {
            # Packed when they were built.
            gzip_static on;
$([ -e "$BROTLI" ] && echo '            brotli_static on;')
            add_header Cache-Control "public, max-age=31536000, immutable";
            add_header X-Content-Type-Options nosniff;
            try_files \$uri =404;
        }
        location ~ ^/(icon\\.svg|icon-\\w+\\.png|offline\\.js|manifest\\.webmanifest)\$ {
            add_header Cache-Control no-cache;
            add_header X-Content-Type-Options nosniff;
            try_files \$uri =404;
        }
        location ~ ^/api/imports/ {
            client_max_body_size 136m;
            client_body_timeout 120s;
            error_page 413 @too_large;
            error_page 502 503 504 @away;
$(to_app workshop)
        }
        location ~ ^/api/(jobs/[^/]+/(photos|traces)|specs/[^/]+/sketch) {
            client_max_body_size 13m;
            error_page 413 @too_large;
            error_page 502 503 504 @away;
$(to_app workshop)
        }
        location ~ ^/api/jobs/[^/]+/gauges/stream\$ {
            gzip off;
            fastcgi_buffering off;
            error_page 502 503 504 @away;
$(to_app streams)
        }
        location /api/ {
            error_page 413 @too_large;
            error_page 502 503 504 @away;
$(to_app workshop)
        }
        location / {
$(to_app workshop)
        }
        location @too_large {
            internal;
            default_type application/problem+json;
            return 413 '{"title":"Too large","status":413,"detail":"That is more than this place takes. Nothing was kept."}';
        }
        location @away {
            internal;
            default_type application/problem+json;
            add_header Retry-After 2 always;
            return 503 '{"title":"Not there","status":503,"detail":"The workshop is beginning again. What was typed is kept and sent in a moment."}';
        }
    }
}
NGINX
}

# nginx_command FILE
nginx_command() { NGINX=("$(command -v nginx)" -p "$WEB" -e stderr -c "$1"); }

# The addresses of this machine that a phone could ask for.
addresses() { { echo 127.0.0.1; hostname -I 2>/dev/null | tr ' ' '\n'; } | grep -E '^[0-9.]+$|:' | sort -u; }

# make_tls: a small authority of the workshop's own, made once, and a certificate by it for the names this machine has now.
make_tls() {
    local tls="$DATA/tls" names name
    mkdir -p "$tls" "$WEB/tls"
    chmod 700 "$tls"
    if [ ! -s "$tls/authority.crt" ]; then
        say 'Making the authority of this workshop for HTTPS'
        quietly 'openssl' openssl req -x509 -newkey ec -pkeyopt ec_paramgen_curve:P-256 -nodes -days 3650 -sha256 -keyout "$tls/authority.key" -out "$tls/authority.crt" \
            -subj "/CN=Vivid Pull workshop on $(hostname)" -addext 'basicConstraints=critical,CA:TRUE,pathlen:0' -addext 'keyUsage=critical,keyCertSign,cRLSign'
    fi
    names="DNS:localhost,DNS:$(hostname),DNS:$(hostname).local"
    for name in $(addresses) ${1:+$1}; do
        [ "$name" = 0.0.0.0 ] || names+=",IP:$name"
    done
    if [ ! -s "$tls/server.crt" ] || [ "$(cat "$tls/names" 2>/dev/null)" != "$names" ] || ! openssl x509 -checkend 2592000 -noout -in "$tls/server.crt" >/dev/null 2>&1; then
        quietly 'openssl' openssl req -new -newkey ec -pkeyopt ec_paramgen_curve:P-256 -nodes -sha256 -keyout "$tls/server.key" -out "$tls/server.csr" -subj "/CN=$(hostname)"
        printf 'basicConstraints=CA:FALSE\nkeyUsage=digitalSignature\nextendedKeyUsage=serverAuth\nsubjectAltName=%s\n' "$names" >"$tls/server.ext"
        # Phones refuse a certificate that lives longer than 398 days.
        quietly 'openssl' openssl x509 -req -in "$tls/server.csr" -CA "$tls/authority.crt" -CAkey "$tls/authority.key" -CAcreateserial -days 397 -sha256 -extfile "$tls/server.ext" -out "$tls/server.crt"
        echo "$names" >"$tls/names"
    fi
    # The authority's key stays with the data; those who serve have only what they serve with.
    cp "$tls/server.crt" "$tls/server.key" "$tls/authority.crt" "$WEB/tls/"
    [ "$WEB_USER" = "$(id -un)" ] || chown -R "$WEB_USER:$WEB_USER" "$WEB/tls"
}
