# Changes single lines of a folder of the core, file by file, and says how many its tests noticed. Sourced by ./zanjador.

# Tests of one file: the one beside it, else all of its folder; and those given.
tests_of() { # file, more
  local beside=${1%.ts}.test.ts
  [[ -f $beside ]] || beside="$(dirname "$1")/**/*.test.ts"
  echo "$beside${2:+,$2}"
}

mutate() { # what, more tests
  local what=src/${1%/} files=() file row killed timed survived uncovered all noticed total=0 good=0
  if [[ -d $what ]]; then
    mapfile -t files < <(find "$what" -name '*.ts' ! -name '*.test.ts' ! -name 'index.ts' | sort)
  else files=("$what"); fi
  mkdir -p .data/mutation
  for file in "${files[@]}"; do
    local out=.data/mutation/$(tr / - <<<"${file#src/}").txt
    MUTATE_TESTS=$(tests_of "$file" "${2:-}") \
      npx --no-install stryker run stryker.config.mjs --mutate "$file" >"$out" 2>&1 || true
    row=$(grep '^All files' "$out" | tail -1 | tr -d ' ')
    [[ -n $row ]] || { printf '  %-44s no score: see %s\n' "${file#src/}" "$out"; continue; }
    IFS='|' read -r _ _ _ killed timed survived uncovered _ <<<"$row"
    noticed=$((killed + timed)) all=$((killed + timed + survived + uncovered))
    good=$((good + noticed)) total=$((total + all))
    printf '  %-44s %4d of %4d noticed, %3d %%\n' "${file#src/}" "$noticed" "$all" $((all ? 100 * noticed / all : 100))
  done
  printf '  %-44s %4d of %4d noticed, %3d %%\n' "$1 as a whole" "$good" "$total" $((total ? 100 * good / total : 100))
}
