#!/usr/bin/env bash
# deploy/base-image.sh NAME: makes an image of Debian from Debian's packages alone, for a place that reaches no registry
# of images:
#   deploy/base-image.sh base
#   buildah build --build-arg BASE=localhost/base -t critica -f deploy/Containerfile .
# Needs debootstrap and buildah (Debian's packages), and to be run as root.
set -euo pipefail
name="${1:?a name for the image}"
work="$(mktemp -d)"
trap 'rm -rf "$work"' EXIT
debootstrap --variant=minbase --include=ca-certificates trixie "$work/root" http://deb.debian.org/debian
rm -rf "$work"/root/var/cache/apt/archives/*.deb "$work"/root/var/lib/apt/lists/*
container="$(buildah from scratch)"
buildah add -q "$container" "$work/root" / >/dev/null
buildah config --env PATH=/usr/local/sbin:/usr/local/bin:/usr/sbin:/usr/bin:/sbin:/bin "$container"
buildah commit -q --rm "$container" "$name"
