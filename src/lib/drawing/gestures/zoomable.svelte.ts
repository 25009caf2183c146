import type { Attachment } from 'svelte/attachments';
import type { View, zooming } from './d3-gestures';
import { withGestures } from './with-gestures';

/** Pan and zoom of a drawing by wheel, fingers, keys and buttons. */
export class Zoomable {
  view = $state.raw<View>({ k: 1, x: 0, y: 0 });
  #zoom: ReturnType<typeof zooming> | null = null;

  readonly attach: Attachment<SVGSVGElement> = (element) =>
    withGestures(element, (gestures) => {
      const begun = gestures.zooming(element, (view) => (this.view = view));
      this.#zoom = begun;
      return () => {
        this.#zoom = null;
        begun.end();
      };
    });

  by(factor: number, at: [number, number]): void {
    this.#zoom?.by(factor, at);
  }
  pan(dx: number, dy: number): void {
    this.#zoom?.pan(dx / this.view.k, dy / this.view.k);
  }
  fit(): void {
    this.#zoom?.fit();
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
