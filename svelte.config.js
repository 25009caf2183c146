import { nodeAdapter } from './node.adapter.js';

/** @type {import('@sveltejs/kit').Config} */
export default {
  kit: {
    adapter: nodeAdapter({ out: 'build' }),
    // put in once a page is there (ui/ReachLayer)
    serviceWorker: { register: false },
    alias: { $core: 'src/core' },
    csp: {
      mode: 'auto',
      directives: {
        'default-src': ['self'],
        'script-src': ['self'],
        // No style sheet or script that the build did not make. Drawings place things with style attributes, which no nonce
        // covers: they can color and move, and fetch nothing but what the lines below allow.
        'style-src': ['self'],
        'style-src-attr': ['unsafe-inline'],
        'img-src': ['self', 'data:', 'blob:'],
        'font-src': ['self'],
        'connect-src': ['self'],
        'worker-src': ['self'],
        'manifest-src': ['self'],
        'object-src': ['none'],
        'base-uri': ['none'],
        'form-action': ['self'],
        'frame-ancestors': ['none']
      }
    }
  }
};
