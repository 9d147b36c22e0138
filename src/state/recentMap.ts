/**
 * A map of so many entries at most: the one that was not asked for the longest goes first. A kept package does the same in seven
 * kilobytes of what the first screen waits for.
 */
export class RecentMap<K, V> {
  private readonly entries = new Map<K, V>();

  constructor(private readonly max: number) {}

  get(key: K): V | undefined {
    const value = this.entries.get(key);
    if (value !== undefined) this.set(key, value);
    return value;
  }

  set(key: K, value: V): void {
    this.entries.delete(key);
    this.entries.set(key, value);
    const [oldest] = this.entries.keys();
    if (this.entries.size > this.max && oldest !== undefined) this.entries.delete(oldest);
  }
}
