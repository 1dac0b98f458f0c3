/** How long a press may take until it is shown as stored: far more than it does. */
export const PATIENCE = { timeout: 30_000, polling: 40 };
