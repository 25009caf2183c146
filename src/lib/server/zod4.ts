/**
 * The one adapter that our forms use. The package offers all of them through one door, and behind it stand a dozen other
 * schema libraries, which the build would read through to leave them out again.
 */
export { zod as zod4 } from '../../../node_modules/sveltekit-superforms/dist/adapters/zod4.js';
