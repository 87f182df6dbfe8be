/** A record without one of its keys. */
export function without<T>(of: Record<string, T> | undefined, key: string): Record<string, T> {
  return Object.fromEntries(Object.entries(of ?? {}).filter(([k]) => k !== key));
}
