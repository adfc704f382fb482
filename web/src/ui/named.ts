/** One of many that can be chosen. */
export interface Named {
  code: string;
  name: string;
}

/** What is meant by something typed: a name or a code, in any case, or the beginning of one name alone. */
export function named(options: readonly Named[], typed: string): Named | undefined {
  const folded = typed.trim().toLowerCase();
  if (!folded) return undefined;
  const whole = options.find(({ name, code }) => [name, code].some((one) => one.toLowerCase() === folded));
  const begins = options.filter(({ name }) => name.toLowerCase().startsWith(folded));
  return whole ?? (begins.length === 1 ? begins[0] : undefined);
}
