import type { Attachment } from 'svelte/attachments';

/** So far beyond the edge of the screen a thing counts as in sight: it is drawn before it is seen. */
const BEFORE_PX = 60;

/** Tells when an element comes into sight and leaves it: thousands of holes are drawn only where one looks. */
export const inSight =
  (seen: (now: boolean) => void): Attachment<HTMLElement> =>
  (element) => {
    const observer = new IntersectionObserver(
      (entries) => seen(entries.at(-1)?.isIntersecting ?? false),
      { rootMargin: `${BEFORE_PX}px` }
    );
    observer.observe(element);
    return () => observer.disconnect();
  };
