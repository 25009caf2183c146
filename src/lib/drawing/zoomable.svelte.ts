import { select, zoom, zoomIdentity, type ZoomBehavior, type ZoomTransform } from 'd3';
import type { Attachment } from 'svelte/attachments';

const MOST_ZOOM = 60;
const OWN_DRAG = '[data-drag], [data-hole]';

/** Pan and zoom of a drawing by wheel, fingers, keys and buttons. */
export class Zoomable {
  view = $state.raw<ZoomTransform>(zoomIdentity);
  #behaviour: ZoomBehavior<SVGSVGElement, unknown> | null = null;
  #element: SVGSVGElement | null = null;

  readonly attach: Attachment<SVGSVGElement> = (element) => {
    this.#element = element;
    this.#behaviour = zoom<SVGSVGElement, unknown>()
      .scaleExtent([1, MOST_ZOOM])
      // what can be dragged or brushed along by itself does not drag the drawing
      .filter(
        (event: Event) =>
          event.type === 'wheel' ||
          ('touches' in event && (event as TouchEvent).touches.length > 1) ||
          (!(event.target instanceof Element && event.target.closest(OWN_DRAG)) &&
            !(event instanceof MouseEvent && event.type === 'mousedown' && event.button !== 0))
      )
      .on('zoom', (event: { transform: ZoomTransform }) => (this.view = event.transform));
    const selection = select(element).call(this.#behaviour).on('dblclick.zoom', null);
    return () => selection.on('.zoom', null);
  };

  by(factor: number, at: [number, number]): void {
    if (this.#element && this.#behaviour)
      select(this.#element).call(this.#behaviour.scaleBy, factor, at);
  }
  pan(dx: number, dy: number): void {
    if (this.#element && this.#behaviour)
      select(this.#element).call(this.#behaviour.translateBy, dx / this.view.k, dy / this.view.k);
  }
  fit(): void {
    if (this.#element && this.#behaviour)
      select(this.#element).call(this.#behaviour.transform, zoomIdentity);
  }

  /** @returns whether the key was one of the drawing's */
  key(event: KeyboardEvent, at: [number, number]): boolean {
    if (event.ctrlKey || event.metaKey || event.shiftKey) return false;
    const actions: Record<string, () => void> = {
      '+': () => this.by(1.5, at),
      '=': () => this.by(1.5, at),
      '-': () => this.by(1 / 1.5, at),
      '0': () => this.fit(),
      ArrowLeft: () => this.pan(60, 0),
      ArrowRight: () => this.pan(-60, 0),
      ArrowUp: () => this.pan(0, 60),
      ArrowDown: () => this.pan(0, -60)
    };
    const action = actions[event.key];
    action?.();
    return action !== undefined;
  }
}
