/** Takes what is said again and again from lists, each time another one: never twice running, those least used first. */
export class Phrases {
  private readonly used = new Map<string, number>();
  private last = '';

  next(list: readonly [string, ...string[]]): string {
    const free = list.filter((one) => one !== this.last);
    const from = free.length > 0 ? free : list;
    const phrase = from.reduce((best, one) => (this.countOf(one) < this.countOf(best) ? one : best));
    this.used.set(phrase, this.countOf(phrase) + 1);
    return (this.last = phrase);
  }

  private readonly countOf = (phrase: string): number => this.used.get(phrase) ?? 0;
}
