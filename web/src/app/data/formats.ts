import { once } from './once';

/** The checks of the open formats; loaded once, soon after the start, so that no write has to wait for them. */
export const formats = once(() => import('@orvin/core/format'));
