#!/usr/bin/env bash
# Runs in a fresh Debian as root, when it has started: installs the package in /try as docs/operations.md says, and looks whether it serves. What it finds
# stands in /try/log; the last line is "It serves." where all is well. `./ledger package --try` starts it.
set -euo pipefail
exec >/try/log 2>&1
trap 'grep -q "^It serves" /try/log || systemctl --no-pager --lines 15 status ledger-migrate ledger || true; systemctl poweroff' EXIT

must() { printf '%s: ' "$1"; shift; if "$@" >/try/said 2>&1; then echo yes; else echo NO; cat /try/said; exit 1; fi; }
must_not() { printf '%s: ' "$1"; shift; if "$@" >/try/said 2>&1; then echo YES; cat /try/said; exit 1; else echo no; fi; }
get() { exec 3<>"/dev/tcp/127.0.0.1/$1" && printf 'GET %s HTTP/1.0\r\nHost: 127.0.0.1\r\n\r\n' "$2" >&3 && cat <&3; }
# Read to its end: grep -q would close what is still being written, and that counts as a failure.
answers() { get "$1" "$2" | grep -a "$3" >/dev/null; }

for tool in git mvn node npm javac; do must_not "$tool is here" command -v "$tool"; done
must "PostgreSQL is Debian's" test -d /etc/postgresql
owner=of-the-owner app=of-the-application
tar -C /opt -xzf /try/ample-ledger.tar.gz
runuser -u postgres -- psql -q -v ON_ERROR_STOP=1 -v owner_password=$owner -v app_password=$app -f /opt/ample-ledger/roles.sql
useradd --system --home-dir /opt/ample-ledger ample-ledger
install -d -m 755 /etc/ample-ledger
install -d -m 700 /etc/ample-ledger/secrets
sed -e 's|^LEDGER_DATABASE_URL=.*|LEDGER_DATABASE_URL=jdbc:postgresql://127.0.0.1:5432/ledger?currentSchema=ledger|' -e 's|^LEDGER_SIGN_ON=.*|LEDGER_SIGN_ON=|' \
  -e 's|^LEDGER_REGISTRAR=.*|LEDGER_REGISTRAR=|' -e 's|^LEDGER_OPERATION_WARM=.*|LEDGER_OPERATION_WARM=10s|' /opt/ample-ledger/ledger.env >/etc/ample-ledger/ledger.env
(umask 077 && printf %s $app >/etc/ample-ledger/secrets/spring.datasource.password && echo LEDGER_OWNER_PASSWORD=$owner >/etc/ample-ledger/secrets/migrate.env)
cp /opt/ample-ledger/systemd/* /etc/systemd/system/
systemctl daemon-reload
systemctl start ledger-migrate
echo "The schema is made."
(set -a && source /etc/ample-ledger/ledger.env && cd /opt/ample-ledger/application \
  && LEDGER_MIGRATE=false LEDGER_APP_PASSWORD=$app runuser -u ample-ledger -- java -jar ample-ledger.jar --spring.main.web-application-type=none \
    --ledger.post=/try/bundle --ledger.note='To try') >/try/posting.log 2>&1 || { tail -n 5 /try/posting.log; exit 1; }
echo "A schedule is posted."
systemctl start ledger
for ((i = 0; i < 150; i++)); do
  if answers 8090 /actuator/health/readiness '^HTTP/1.1 200' 2>/dev/null; then break; fi
  sleep 1
done
must "it is ready" answers 8090 /actuator/health/readiness '"status":"UP"'
must "Browse is there" answers 8080 /autumn-2031/browse 'KILN'
must "it is whole" answers 8080 /autumn-2031/browse '</html>'
must "measures are there" answers 8090 /actuator/prometheus '^ledger_sections '
pid=$(systemctl show --property MainPID --value ledger)
must "it runs as a service user" test "$(stat -c %U "/proc/$pid")" = ample-ledger
must_not "the owner's password is in the process" grep -qa "$owner" "/proc/$pid/environ"
must_not "its log has a password" bash -c "journalctl -u ledger -u ledger-migrate | grep -E '$owner|$app'"
must "the access log has a line for each page" bash -c "journalctl -u ledger -o cat | grep '\"access\"' | grep -q '/{term}/browse'"
must_not "anything else than JSON is in its log" bash -c "journalctl -u ledger -o cat _COMM=java | grep -v '^{'"
systemctl start ledger-old-editions
must "old editions can be removed" bash -c "journalctl -u ledger-old-editions -o cat | grep '0 editions were removed'"
systemctl restart ledger
sleep 1
systemctl stop ledger
must "it stops when it is asked to" test "$(systemctl show --property Result --value ledger)" = success
echo "It serves."
