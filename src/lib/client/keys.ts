/** A key's action, unless one is typing in a field or a dialog is open. */
export const outsideFields = (action: () => void) => (event: KeyboardEvent) => {
  const { target } = event;
  const typing =
    target instanceof HTMLElement && target.matches('input:not([type=radio]), textarea, select');
  if (typing || document.querySelector('[role=dialog][data-state=open], dialog[open]')) return;
  event.preventDefault();
  action();
};
