#!/bin/sh
# Proves the README's two commands on a machine that has nothing: a bare Debian root made with debootstrap, a fresh clone in it.
#   e2e/bare-machine.sh [--test] [FOLDER]
# First as root, who gets everything installed; then as an ordinary user, who finds it installed. With --test the whole test run too.
# Needs root, debootstrap and git here; not part of the default run. FOLDER (a temporary one without it) is removed afterwards.
set -eu

home=$(cd "$(dirname "$0")/.." && pwd)
with_test=no
[ "${1:-}" = --test ] && with_test=yes && shift
bare=${1:-$(mktemp -d /var/tmp/bare-machine.XXXXXX)}
port=8439
admin=root # also the name of the folder of its own

say() { echo "bare machine: $*"; }
fail() {
  say "FAILED: $*"
  exit 1
}

[ "$(id -u)" = 0 ] || fail "run this as root"
for tool in debootstrap git; do command -v "$tool" >/dev/null || fail "$tool is missing here (apt-get install $tool)"; done

clean_up() {
  # Whatever still runs in there goes first: a mounted folder cannot be removed.
  for process in /proc/[0-9]*; do
    [ "$(readlink "$process/root" 2>/dev/null)" = "$bare" ] && kill -9 "${process#/proc/}" 2>/dev/null
  done
  sleep 1
  umount "$bare/proc" 2>/dev/null || true
  mountpoint -q "$bare/proc" || rm -rf --one-file-system "$bare"
}
trap clean_up EXIT

mkdir -p "$bare"
chmod 755 "$bare"
say "making it in $bare"
debootstrap --variant=minbase bookworm "$bare" >"$bare.log" 2>&1 || fail "debootstrap; see $bare.log"
mount -t proc proc "$bare/proc"
# How this machine reaches the registries: names, mirrors, certificates.
cp /etc/resolv.conf /etc/hosts "$bare/etc/"
rm -f "$bare/etc/apt/sources.list"
cp /etc/apt/sources.list.d/debian.sources "$bare/etc/apt/sources.list.d/" 2>/dev/null || cp /etc/apt/sources.list "$bare/etc/apt/"
cp /etc/apt/apt.conf.d/99* "$bare/etc/apt/apt.conf.d/" 2>/dev/null || true
mkdir -p "$bare/usr/local/share/ca-certificates" "$bare/etc/ssl/certs"
cp /usr/local/share/ca-certificates/* "$bare/usr/local/share/ca-certificates/" 2>/dev/null || true
cp -L /etc/ssl/certs/ca-certificates.crt "$bare/etc/ssl/certs/"
[ ! -f "$HOME/.npmrc" ] || cp "$HOME/.npmrc" "$bare/$admin/.npmrc"
[ ! -f "$HOME/.m2/settings.xml" ] || { mkdir -p "$bare/$admin/.m2" && cp "$HOME/.m2/settings.xml" "$bare/$admin/.m2/"; }

# in_there USER COMMAND: as that user, in a fresh environment, in that user's clone
in_there() {
  chroot "$bare" /usr/bin/env -i PATH=/usr/local/sbin:/usr/local/bin:/usr/sbin:/usr/bin:/sbin:/bin \
    NODE_EXTRA_CA_CERTS=/etc/ssl/certs/ca-certificates.crt su "$1" -s /bin/sh -c "export NODE_EXTRA_CA_CERTS=/etc/ssl/certs/ca-certificates.crt; cd && cd enthalpa && $2"
}

# demo USER: the first command, until the page and its builds are answered
demo() {
  began=$(date +%s)
  in_there "$1" "exec ./enthalpa demo --port $port" >"$bare.$1.log" 2>&1 &
  until grep -q "Enthalpa is ready" "$bare.$1.log"; do
    kill -0 $! 2>/dev/null || { cat "$bare.$1.log"; fail "demo as $1 ended"; }
    [ $(($(date +%s) - began)) -lt 900 ] || { cat "$bare.$1.log"; fail "demo as $1 is not up after 15 minutes"; }
    sleep 1
  done
  took=$(($(date +%s) - began))
  builds=$(curl -fsS "http://127.0.0.1:$port/api/builds" | grep -o '"revision"' | wc -l)
  curl -fsS "http://127.0.0.1:$port/" | grep -q "<title>" || fail "no page as $1"
  [ "$builds" -ge 4 ] || fail "$builds builds as $1"
  pkill -f -- "demo --port $port" || true
  wait $! 2>/dev/null || true
  say "demo as $1: up in $took s, $builds builds"
}

git clone -q "$home" "$bare/$admin/enthalpa"
demo root
demo root # a second time, already built
if [ "$with_test" = yes ]; then
  in_there root "./enthalpa test" >"$bare.test.log" 2>&1 || { tail -40 "$bare.test.log"; fail "test as root; see $bare.test.log"; }
  say "test as root: passed"
fi

chroot "$bare" useradd -m maker
git clone -q "$home" "$bare/home/maker/enthalpa"
chroot "$bare" chown -R maker:maker /home/maker
[ ! -f "$HOME/.npmrc" ] || cp "$HOME/.npmrc" "$bare/home/maker/.npmrc"
demo maker
say "passed"
