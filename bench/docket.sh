#!/usr/bin/env bash
# How long the server takes to answer a changed docket field, against the running demo (./reglet demo).
# Sends 60 changes of the page count of edition 1, one after the other, and prints the median and the slowest of the last 40.
set -euo pipefail
at="http://localhost:${REGLET_PORT:-8080}/editions/1/docket"
version() { grep -o 'name="version" value="[^"]*"' | head -1 | cut -d'"' -f4; }
v=$(curl -sf "$at" | version)
for i in $(seq 1 60); do
  body=$(curl -sf -w '\n%{time_total}' -H 'HX-Request: true' --data-urlencode "version=$v" -d 'house=gannet-and-gauge&binding=perfect-bound&stock=cream&ink=black&turn=ltr&trim=6+x+9+in' \
    --data-urlencode "title=The Salt Ledger" --data-urlencode "author=Maren Aldous" --data-urlencode "blurb=Words for the back." -d "isbn=9781402894626&pages=$((300 + 2 * (i % 10)))" "$at")
  v=$(printf '%s' "$body" | version)
  if [ "$i" -gt 20 ]; then printf '%s\n' "$body" | tail -1; fi
done | sort -n | awk '{t[NR]=$1} END {printf "median %.0f ms, slowest %.0f ms of %d\n", 1000*t[int((NR+1)/2)], 1000*t[NR], NR}'
