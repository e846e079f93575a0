#!/usr/bin/env bash
# Runs the application, and runs it again when it has ended for want of memory, which it says with status 3
# (-XX:+ExitOnOutOfMemoryError). Any other end is an end: a start that failed would only fail again.
#
#   keep-running.sh FILE COMMAND [ARGUMENTS]   keeps the id of the process that runs in FILE
#
# A signal to end (TERM, INT) is passed on, and waited for.
set -u

file=$1 ending='' child=''
shift
trap 'ending=yes; [[ -z $child ]] || kill "$child" 2>/dev/null' TERM INT

while :; do
  "$@" &
  child=$!
  echo "$child" >"$file"
  # A signal ends the waiting, not the application.
  while wait "$child"; code=$?; kill -0 "$child" 2>/dev/null; do :; done
  [[ -z $ending && $code -eq 3 ]] || exit "$code"
  echo "The application has ended for want of memory; it is started again."
  sleep 1
done
