/**
 * Where the tests find the application, and who stops and starts its database for them: a place for each that runs at
 * once, so that none meets what another has changed or stopped.
 */
const FIRST_PORT = 8273;
export const STAGES = 2;
export const stageAt = (index: number) => {
  const port = FIRST_PORT + 2 * index;
  return {
    port,
    url: `http://127.0.0.1:${port}`,
    controlPort: port + 1,
    controlUrl: `http://127.0.0.1:${port + 1}`,
  };
};

/** That of the worker which reads this. */
export const { url: E2E_URL, controlUrl: CONTROL_URL } = stageAt(
  Number(process.env.TEST_PARALLEL_INDEX ?? 0),
);
