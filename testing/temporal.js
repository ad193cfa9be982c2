/* Node.js 20 has no Temporal of its own; browsers have. */
require('temporal-polyfill/global');
