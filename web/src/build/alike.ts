/**
 * @returns the newer value, in which every part that says the same as before is the very one from before: what hangs on that alone has nothing
 *   to draw anew
 */
export function alike<T>(before: unknown, now: T): T {
  if (Object.is(before, now)) return now
  if (Array.isArray(now)) {
    if (!Array.isArray(before)) return now
    const parts = now.map((part, i) => alike<unknown>(before[i], part))
    return (before.length === parts.length && parts.every((part, i) => Object.is(part, before[i])) ? before : parts) as T
  }
  if (now === null || typeof now !== 'object' || before === null || typeof before !== 'object' || Array.isArray(before)) return now
  const were = before as Record<string, unknown>
  const parts = Object.entries(now).map(([key, part]) => [key, alike(were[key], part)] as const)
  const same = parts.length === Object.keys(were).length && parts.every(([key, part]) => key in were && Object.is(part, were[key]))
  return (same ? before : Object.fromEntries(parts)) as T
}
