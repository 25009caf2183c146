import type { ToastStore } from './toaster.ts';

/** What was done, said once at the foot of the page. What draws it comes with the first of them. */
class Said {
  toaster = $state.raw<ToastStore | null>(null);

  async say(text: string): Promise<void> {
    const { toaster } = await import('./toaster.ts');
    this.toaster = toaster;
    toaster.success({ title: text });
  }
}

export const said = new Said();
