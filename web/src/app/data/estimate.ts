/** What this origin takes of the device and what the browser allows it, bytes. */
export interface Room {
  readonly usage: number;
  readonly quota: number;
}

/** How much room there is, as the browser estimates it; null where it does not tell, as over plain http. */
export async function estimate(): Promise<Room | null> {
  const { usage, quota } = (await navigator.storage?.estimate?.().catch(() => null)) ?? {};
  return usage === undefined || !quota ? null : { usage, quota };
}
