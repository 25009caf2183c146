import { json } from '@sveltejs/kit';

/** The process answers: whoever watches it need not restart it. */
export const GET = () => json({ alive: true }, { headers: { 'cache-control': 'no-store' } });
