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
    local training
    training=$(mktemp -d)
    # Starting once with an empty store records which classes a start needs; without an archive Elsom only starts slower.
    (cd "$app_dir" && java -XX:ArchiveClassesAtExit=classes.jsa $jvm_options -Dspring.context.exit=onRefresh \
      -jar elsom.jar --elsom.home="$training" --server.port=0 >"$training/log" 2>&1) || touch "$app_dir/classes.jsa"
    rm -rf "$training"
  fi
}

jvm_options="-Xmx256m -XX:TieredStopAtLevel=1 -XX:+UseSerialGC -Xlog:cds=off -Xlog:cds+dynamic=off"

# start_elsom HOME DEMO: runs the application in the foreground until it is stopped.
start_elsom() {
  prepare_elsom
  mkdir -p "$1"
  local home
  home=$(cd "$1" && pwd)
  cd "$app_dir"
  ELSOM_BUILD=$(stat -c %Y "$root/web/target/elsom.jar")
  export ELSOM_BUILD
  exec java -XX:SharedArchiveFile=classes.jsa -Xshare:auto $jvm_options -jar elsom.jar --elsom.home="$home" --elsom.demo="$2"
}
