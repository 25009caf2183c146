import { outsideFields } from '../../client/keys';

/** What was pressed with a finger keeps no focus: the foot switch’s next Space would press it again. */
export function letGoOfFocus({ target, detail }: MouseEvent): void {
  if (detail > 0 && target instanceof Element)
    target.closest<HTMLElement>('button, a, [role=button]')?.blur();
}

/** A foot switch types Space or Enter; on a button that keys went to they press it. */
export function footSwitch(action: () => void): (event: KeyboardEvent) => void {
  const outside = outsideFields(action);
  return (event) => {
    const on = event.target instanceof HTMLElement ? event.target : null;
    if (event.repeat || on?.closest('button, a, [role=button], [role=radio], summary')) return;
    outside(event);
  };
}
