# Sourced by ./zanjador: backups of the database, and the way back.

# cluster_open: the cluster as it runs, or started for this; leaves OPENED=yes where we have to stop it again.
cluster_open() {
  OPENED=""
  cluster_place cluster
  [ -s "$CLUSTER/zanjador.password" ] || stop_with "There is no database here yet: ./zanjador start makes one."
  if as_postgres "$PG/pg_ctl" -D "$CLUSTER" status >/dev/null 2>&1; then
    DB_PORT="$(sed -n 4p "$CLUSTER/postmaster.pid")"
    CLUSTER_URL="postgres://zanjador:$(cat "$CLUSTER/zanjador.password")@127.0.0.1:$DB_PORT"
  else
    cluster_start cluster
    OPENED=yes
  fi
}
cluster_leave() { [ -z "$OPENED" ] || cluster_stop; }

# backup FILE | backup FOLDER --keep N: a folder gets a file by the time, and keeps the newest N.
backup() {
  local where="${1:-}" keep="" name="${OWN:-zanjador}" file
  [ -n "$where" ] || stop_with "./zanjador backup FILE, or FOLDER --keep N"
  if [ "${2:-}" = --keep ]; then
    keep="${3:-}"
    [[ "$keep" =~ ^[1-9][0-9]*$ ]] || stop_with "--keep how many? A whole number."
    mkdir -p "$where" && chmod 700 "$where" || stop_with "$where cannot be made."
    file="$where/$name-$(date -u +%Y%m%dT%H%M%SZ).backup"
  else
    [ ! -e "$where" ] || stop_with "$where already exists. Nothing was overwritten."
    file="$where"
  fi
  cluster_open
  trap cluster_leave EXIT
  has_database "$name" || stop_with "There is no database $name here."
  DATABASE_URL="$CLUSTER_URL/$name" ZANJADOR_PG="$PG" ZANJADOR_LAST_BACKUP="$DATA/last-backup.json" \
    node .build/scripts/backup.js "$file" || exit 1
  # older ones go only once a newer one is there and was read back
  [ -z "$keep" ] || ls -1 "$where/$name-"*.backup | sort -r | tail -n +"$((keep + 1))" | while read -r old; do rm -f -- "$old"; done
}

# restore_leave NAME: what was not put in its place goes.
restore_leave() {
  on_database dropdb --if-exists --force "$1_restored" >/dev/null 2>&1
  cluster_leave
}

# restore FILE [--yes]: into a database beside; only when that is whole does it take the place of the one before, which stays.
restore() {
  local file="${1:-}" yes="${2:-}" name="${OWN:-zanjador}" before
  [ -f "$file" ] || stop_with "./zanjador restore FILE: there is no file ${file:-(none named)}."
  node .build/scripts/restore.js "$file" --look || stop_with "Nothing was touched."
  if app_running && [ "$yes" != --yes ]; then
    [ -t 0 ] || stop_with "Zanjador is running: restoring ends it. ./zanjador restore FILE --yes does it all the same."
    printf 'Zanjador is running. Restoring ends it, and puts the database of that file in the place of this one. Type restore to go on: ' >&2
    read -r yes
    [ "$yes" = restore ] || stop_with "Nothing was touched."
  fi
  # nobody starts it while its database is changed; a start that runs holds this until it has ended
  exec 9>"$DATA/start.lock"
  app_running || flock -n 9 || stop_with "Zanjador is being started from this folder: restore once it runs, or after ./zanjador stop. Nothing was touched."
  cluster_open
  # however this ends, nothing half restored is left beside the database
  trap 'restore_leave "$name"' EXIT
  trap 'exit 130' INT TERM
  on_database dropdb --if-exists "${name}_restored" && on_database createdb "${name}_restored" || stop_with "Nothing was touched."
  DATABASE_URL="$CLUSTER_URL/${name}_restored" ZANJADOR_PG="$PG" node .build/scripts/restore.js "$file" ||
    stop_with "The database is as it was."
  # the start that runs it ends its database with it: it is opened again for the change
  if app_running; then
    stop_app
    flock -w 60 9 || stop_with "The start that ran does not end. The database is as it was."
    for _ in $(seq 100); do as_postgres "$PG/pg_ctl" -D "$CLUSTER" status >/dev/null 2>&1 || break; sleep 0.1; done
    cluster_open
  fi
  if has_database "$name"; then
    before="${name}_before_$(date -u +%Y%m%d%H%M%S)"
    on_database psql -d postgres -qc "alter database $name rename to $before" || stop_with "The database is as it was."
    echo "  · the database before is kept aside as $before" >&2
  fi
  if ! on_database psql -d postgres -qc "alter database ${name}_restored rename to $name"; then
    [ -z "$before" ] || on_database psql -d postgres -qc "alter database $before rename to $name"
    stop_with "The restored database could not take its place. The database is as it was."
  fi
  echo "  · restored: ./zanjador start serves it" >&2
}
