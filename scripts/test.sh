# Sourced by ./zanjador test: every check and test, tallied into one line.

# check "what" command…: one pass or fail; its output is shown when it fails.
check() {
  local what="$1" out="$RESULTS/check.log" from; shift; from=$(date +%s)
  if "$@" >"$out" 2>&1 </dev/null; then
    echo pass >>"$RESULTS/checks"
    printf '  ✓ %-42s%5d s\n' "$what" $(($(date +%s) - from))
  else
    echo "$what" >>"$RESULTS/checks"
    printf '  ✗ %s\n' "$what"; tail -n 40 "$out"
  fi
}

run_checks() {
  check "formatting" npm run --silent check:format
  check "arrows one way" npm run --silent check:arrows
  check "nothing unused" npm run --silent check:unused
  check "lint" npm run --silent check:lint
  check "types" npm run --silent check:types
  check "types of the core and the commands" npm run --silent check:commands
}

run_all_tests() {
  RESULTS="$DATA/results"; rm -rf "$RESULTS"; mkdir -p "$RESULTS"
  need_modules; need_postgres; need_chromium; need_poppler; build_tools; build_app
  # nothing here outlives a power cut, so nothing waits for the disk; the soak has a cluster of its own that does
  cluster_start test-cluster -c fsync=off -c synchronous_commit=off -c full_page_writes=off -c max_connections=120
  trap cluster_stop EXIT
  export ZANJADOR_TEST_CLUSTER="$CLUSTER_URL" ZANJADOR_TEST_PASSWORD="$(app_password)"
  step "the templates that tests copy" node .build/scripts/test-templates.js

  # Two lanes: what reads the code and what starts commands, beside what runs in node and then in browsers.
  (
    run_checks
    touch "$RESULTS/checks.done"
    npx vitest run --project command --reporter=default --reporter=json --outputFile="$RESULTS/command.json"
  ) >"$RESULTS/beside.log" 2>&1 & local beside=$!
  npx vitest run --project unit --reporter=default --reporter=json --outputFile="$RESULTS/unit.json"
  npx vitest run --project database --reporter=default --reporter=json --outputFile="$RESULTS/database.json"
  PLAYWRIGHT_JSON_OUTPUT_NAME="$RESULTS/e2e.json" npx playwright test --reporter=list,json
  wait "$beside"
  cat "$RESULTS/beside.log"
  [ -e "$RESULTS/checks.done" ] || echo "the checks themselves" >>"$RESULTS/checks"
  node .build/scripts/tally.js "$RESULTS"
}
