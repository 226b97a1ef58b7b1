/** Small things this device keeps through a reload. A browser that refuses storage costs the memory, not the work. */
export function readKept<T>(key: string): T | undefined {
  const soon = waiting.get(key);
  if (soon) return soon.value as T | undefined;
  try {
    const text = localStorage.getItem(key);
    return text === null ? undefined : (JSON.parse(text) as T);
  } catch {
    return undefined;
  }
}

/** Written once the hand rests, or when the page goes: a drag would write it a hundred times. */
const KEEP_MS = 200;
const waiting = new Map<string, { timer: ReturnType<typeof setTimeout>; value: unknown }>();

export function keepSoon(key: string, value: unknown): void {
  clearTimeout(waiting.get(key)?.timer);
  waiting.set(key, { timer: setTimeout(() => keep(key, value), KEEP_MS), value });
}
globalThis.addEventListener?.('pagehide', () => {
  for (const [key, { value }] of waiting) keep(key, value);
});

export function keep(key: string, value: unknown): void {
  clearTimeout(waiting.get(key)?.timer);
  waiting.delete(key);
  try {
    if (value === undefined) localStorage.removeItem(key);
    else localStorage.setItem(key, JSON.stringify(value));
  } catch {
    // storage full or forbidden: nothing more can be done here
  }
}
