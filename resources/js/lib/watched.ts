/** Something outside React that components can watch. */
export class Watched {
  private readonly watchers = new Set<() => void>();

  subscribe = (watcher: () => void): (() => void) => {
    this.watchers.add(watcher);
    return () => this.watchers.delete(watcher);
  };

  protected tell(): void {
    for (const watcher of this.watchers) watcher();
  }
}
