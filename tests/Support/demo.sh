# Sourced by tests. shellcheck shell=bash

# fill_with_demo: the tables and the demo workshop, in the database that DB_PORT and the rest name. In a whole run it is made once: whoever needs
# one meanwhile waits for it, and has a copy.
fill_with_demo() {
    local database=(-h127.0.0.1 -P"$DB_PORT" -u"$DB_USERNAME" -p"$DB_PASSWORD" "$DB_DATABASE") lock
    [ -z "${DEMO_MADE:-}" ] || { exec {lock}>"$DEMO_MADE.lock" && flock "$lock"; }
    if [ -s "${DEMO_MADE:-}" ]; then
        exec {lock}>&-
        mariadb --no-defaults "${database[@]}" <"$DEMO_MADE"
        return
    fi
    php artisan migrate:fresh --force && WORKSHOP_DEMO=true php artisan workshop:begin --demo || return 1
    [ -z "${DEMO_MADE:-}" ] || { mariadb-dump --no-defaults "${database[@]}" >"$DEMO_MADE.$$" && mv "$DEMO_MADE.$$" "$DEMO_MADE" && exec {lock}>&-; }
}
