let loaded: ReturnType<Awaited<typeof import('highs')>['default']> | undefined;

/** The solver, loaded when it is first asked for: its WebAssembly is compiled once for a process or a thread. */
export async function solver() {
  const { default: load } = await import('highs');
  loaded ??= load();
  return loaded;
}
