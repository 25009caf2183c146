import { createToaster } from '@skeletonlabs/skeleton-svelte';

const SHOWN_MS = 7000;

export const toaster = createToaster({ placement: 'bottom', duration: SHOWN_MS });
export type ToastStore = typeof toaster;
