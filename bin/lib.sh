# Shared by the scripts beside it; sourced, never run.

# build_if_older TARGET SOURCE... -- MAVEN_ARGUMENT...: packages when a source is newer than the target.
build_if_older() {
  local target=$1 sources=() newer
  shift
  while [ "$1" != -- ]; do sources+=("$1"); shift; done
  shift
  if [ -f "$target" ]; then
    newer=$(find "${sources[@]}" -newer "$target" -type f -print -quit)
    [ -n "$newer" ] || return 0
  fi
  echo "Building (a few minutes the first time) ..."
  (cd "$root" && mvn -B -ntp -q -DskipTests -Dspotless.check.skip=true "$@" package)
}

# prepare_elsom: builds when needed, and lays the application out for a quick start: the jar extracted, its classes in an
# archive that the JVM maps instead of parsing. Sets app_dir.
prepare_elsom() {
  local jar=$root/web/target/elsom.jar
  app_dir=$root/web/target/app
  build_if_older "$jar" "$root/core/src/main" "$root/web/src/main" "$root/pom.xml" "$root/core/pom.xml" "$root/web/pom.xml" -- -pl core,web
  if [ ! -f "$app_dir/classes.jsa" ] || [ "$jar" -nt "$app_dir/classes.jsa" ]; then
    rm -rf "$app_dir"
    java -Djarmode=tools -jar "$jar" extract --destination "$app_dir" >/dev/null
    train_elsom
  fi
}

# train_elsom: starts once with an empty store and asks for its pages, which records the classes that a start and a first
# page need; without an archive Elsom only starts slower.
train_elsom() {
  local training port= path
  training=$(mktemp -d)
  (cd "$app_dir" && exec java -XX:ArchiveClassesAtExit=classes.jsa $jvm_options $demo_options -jar elsom.jar \
    --elsom.home="$training" --server.port=0 >"$training/log" 2>&1) &
  local trained=$!
  for _ in $(seq 600); do
    port=$(sed -n 's/^Elsom is ready: .*:\([0-9]*\)$/\1/p' "$training/log" 2>/dev/null)
    [ -z "$port" ] && kill -0 "$trained" 2>/dev/null || break
    sleep 0.1
  done
  if [ -n "$port" ]; then
    for path in / /trials /trials/new /shelf; do
      (exec 3<>"/dev/tcp/127.0.0.1/$port" && printf 'GET %s HTTP/1.0\r\nHost: localhost\r\n\r\n' "$path" >&3 && cat <&3) >/dev/null 2>&1 || true
    done
  fi
  kill "$trained" 2>/dev/null || true
  wait "$trained" 2>/dev/null || true
  [ -f "$app_dir/classes.jsa" ] || touch "$app_dir/classes.jsa"
  rm -rf "$training"
}

jvm_options="-XX:+UseSerialGC -XX:+ExitOnOutOfMemoryError -Xlog:cds=off -Xlog:cds+dynamic=off"
# What both are for, and what was measured: docs/decisions/009-memory-and-compilers.md.
demo_options="-Xmx256m -XX:TieredStopAtLevel=1"
run_options="-Xmx1g"

# start_elsom HOME DEMO OPTIONS: runs the application in the foreground until it is stopped.
start_elsom() {
  prepare_elsom
  # What is kept is for who runs it, and for nobody else on this machine.
  umask 077
  mkdir -p "$1"
  local home tls=()
  home=$(cd "$1" && pwd)
  if [ -f "$home/tls/elsom-server.p12" ] && [ "$2" = false ]; then
    SERVER_SSL_KEYSTOREPASSWORD=$(cat "$home/tls/elsom-password")
    export SERVER_SSL_KEYSTOREPASSWORD
    tls=(--server.ssl.key-store="$home/tls/elsom-server.p12" --server.ssl.key-alias=elsom)
  fi
  [ -z "${ELSOM_BACKUPS:-}" ] || export ELSOM_BACKUPS=$(realpath -m "$ELSOM_BACKUPS")
  cd "$app_dir"
  ELSOM_BUILD=$(stat -c %Y "$root/web/target/elsom.jar")
  export ELSOM_BUILD
  exec java -XX:SharedArchiveFile=classes.jsa -Xshare:auto $jvm_options $3 -jar elsom.jar --elsom.home="$home" --elsom.demo="$2" ${tls[@]+"${tls[@]}"}
}
