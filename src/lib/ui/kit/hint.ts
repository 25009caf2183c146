import type { Attachment } from 'svelte/attachments';

const ASKED = 'askhint';

interface Asked {
  text: string;
}

/** What a hinted element says: its own words, or those of a drawing that is asked for them only now. */
export function hintOf(element: Element): string {
  const own = element.getAttribute('data-hint') ?? '';
  if (own !== '') return own;
  const asked = new CustomEvent<Asked>(ASKED, { bubbles: true, detail: { text: '' } });
  element.dispatchEvent(asked);
  return asked.detail.text;
}

/** Answers for hundreds of marks with an empty `data-hint`: their words are made when somebody asks. */
export const answersHints =
  (say: (element: HTMLElement | SVGElement) => string): Attachment<Element> =>
  (root) => {
    const answer = (event: Event): void => {
      const { target } = event;
      if (target instanceof SVGElement || target instanceof HTMLElement)
        (event as CustomEvent<Asked>).detail.text = say(target);
    };
    root.addEventListener(ASKED, answer);
    return () => root.removeEventListener(ASKED, answer);
  };
