const FIELDS =
  'input:not([type=checkbox], [type=radio], [type=hidden], [type=file], [type=search])';

/** Fields that one can go to, in the order of the page. */
const fieldsIn = (within: HTMLElement): HTMLInputElement[] =>
  [...within.querySelectorAll<HTMLInputElement>(FIELDS)].filter(
    (field) => !field.disabled && !field.readOnly && field.offsetParent !== null
  );

/**
 * Where Enter goes from a field: to the next one that is still needed, round the page; where none is, to the next field; null
 * at the end.
 */
export function fieldAfter(
  fields: readonly { dataset: DOMStringMap }[],
  at: number
): number | null {
  const needed = (field: { dataset: DOMStringMap }) => field.dataset['needed'] !== undefined;
  const after = fields.findIndex((field, index) => index > at && needed(field));
  if (after >= 0) return after;
  const before = fields.findIndex((field, index) => index !== at && needed(field));
  if (before >= 0) return before;
  return at + 1 < fields.length ? at + 1 : null;
}

/**
 * Enter in a field goes on to the next needed one, unless the field has a use of its own for it or stands in a form. An
 * attachment for what holds the fields of a stage.
 */
export function enterGoesOn(within: HTMLElement): () => void {
  const onkeydown = (event: KeyboardEvent): void => {
    const { target, key } = event;
    if (key !== 'Enter' || event.defaultPrevented || event.isComposing) return;
    if (!(target instanceof HTMLInputElement) || !target.matches(FIELDS)) return;
    if (target.closest('form, dialog, [role=dialog]')) return;
    const fields = fieldsIn(within);
    const at = fields.indexOf(target);
    const next = at < 0 ? null : fieldAfter(fields, at);
    // at the end Enter does what it does in any field: what was typed is taken
    if (next === null) return;
    event.preventDefault();
    fields[next]?.focus();
    fields[next]?.select();
  };
  within.addEventListener('keydown', onkeydown);
  return () => within.removeEventListener('keydown', onkeydown);
}
