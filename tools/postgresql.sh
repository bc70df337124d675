# Shared by start-postgresql and stop-postgresql: where the server's programs lie, and who runs them. PostgreSQL refuses
# to run as root; then the package's own user does.
bin=$(ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -n 1)
[ -n "$bin" ] || { echo "PostgreSQL is missing: install Debian's package postgresql" >&2; exit 1; }
if [ "$(id -u)" = 0 ]; then
    chown postgres "$folder"
    as_server() { (cd / && setpriv --reuid postgres --regid postgres --init-groups "$@"); }
else
    as_server() { (cd / && "$@"); }
fi
