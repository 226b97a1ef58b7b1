/** Where the tests find the application, and who stops and starts its database for them. */
const PORT = 8273;
export const E2E_PORT = PORT;
export const CONTROL_PORT = PORT + 1;
export const E2E_URL = `http://127.0.0.1:${PORT}`;
export const CONTROL_URL = `http://127.0.0.1:${CONTROL_PORT}`;
