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
