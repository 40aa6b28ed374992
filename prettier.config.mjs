/** How the code stands. `bin/test` checks it; `npm run format` brings it about. */
const config = { printWidth: 100 };

export default config;
