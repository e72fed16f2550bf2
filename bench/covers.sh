#!/usr/bin/env bash
# How long a large cover and a long list take: an edit of one of 60 pieces over a picture of 24 megapixels at the
# server and on screen, /titles with 500 titles, the first page after a start. Against a Reglet with demo data that
# has just been started on data of its own: REGLET_DATA=$(mktemp -d) ./reglet start --reglet.demo=true
# Usage: bench/covers.sh [edits] [titles]; needs ./reglet harness to have been built once (test classes and class path).
set -euo pipefail
here=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
classes="$here/web/target/test-classes:$here/testing/target/classes:$here/web/target/classes:$here/press/target/classes:$here/core/target/classes:$(cat "$here/web/target/test-classpath")"
exec java -cp "$classes" app.reglet.web.harness.CoversHarness "http://localhost:${REGLET_PORT:-8080}" "$@"
