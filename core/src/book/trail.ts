/**
 * A list that only grows. Adding gives a new trail and leaves the old one as it was; both share the memory of what they
 * have in common, so a state can keep long lists and stay immutable.
 * @example Trail.of(1, 2).with(3).all() // [1, 2, 3]
 */
export class Trail<T> {
  private constructor(
    private readonly items: T[],
    readonly length: number,
  ) {}

  static of<T>(...items: T[]): Trail<T> {
    return new Trail(items, items.length);
  }

  static from<T>(items: readonly T[]): Trail<T> {
    return new Trail([...items], items.length);
  }

  with(item: T): Trail<T> {
    // Another version has grown past this one: its memory is not ours to write to.
    const items = this.items.length === this.length ? this.items : this.items.slice(0, this.length);
    items.push(item);
    return new Trail(items, this.length + 1);
  }

  /** The item at a place; negative places count from the end. */
  at(place: number): T | undefined {
    const index = place < 0 ? this.length + place : place;
    return index >= 0 && index < this.length ? this.items[index] : undefined;
  }

  /** The last `count` items, oldest first. */
  last(count: number): T[] {
    return this.items.slice(Math.max(0, this.length - count), this.length);
  }

  all(): T[] {
    return this.items.slice(0, this.length);
  }
}
