/** Values by key, of which the ones asked for longest ago are let go when they weigh more than is to be kept. */
export class Recent<V> {
  private readonly entries = new Map<string, { readonly value: V; readonly weight: number }>();
  private weight = 0;

  /** @param most weight that is kept in all; the last value is kept whatever it weighs */
  constructor(private readonly most: number) {}

  get(key: string): V | undefined {
    const entry = this.entries.get(key);
    if (!entry) return undefined;
    // The one asked for last stands last.
    this.entries.delete(key);
    this.entries.set(key, entry);
    return entry.value;
  }

  set(key: string, value: V, weight = 1): void {
    this.weight += weight - (this.entries.get(key)?.weight ?? 0);
    this.entries.delete(key);
    this.entries.set(key, { value, weight });
    for (const [oldest, entry] of this.entries) {
      if (this.weight <= this.most || oldest === key) return;
      this.entries.delete(oldest);
      this.weight -= entry.weight;
    }
  }

  clear(): void {
    this.entries.clear();
    this.weight = 0;
  }
}
