export interface KeyBinding {
  /** Key as the browser names it, lower case: "r", "arrowdown", "?". */
  key: string;
  /** What it does, as the help sheet says it. */
  label: string;
  run: () => void;
  /** Shown in the sheet instead of the key, for ranges such as 1–9. */
  shown?: string;
  /** With Shift held. */
  shift?: boolean;
  /** Where the key is meant for something else, it is left alone. */
  when?: () => boolean;
}

/** Letters typed into a field are text; on a tick box or button they are keys. */
const typing = (target: EventTarget | null): boolean =>
  target instanceof HTMLInputElement
    ? !/^(checkbox|radio|button|submit)$/.test(target.type)
    : target instanceof HTMLElement &&
      (target.isContentEditable || /^(TEXTAREA|SELECT)$/.test(target.tagName));

/** Keys of the screens that are open, and the sheet that lists them. */
class KeyMap {
  groups = $state<{ name: string; bindings: KeyBinding[] }[]>([]);
  sheetOpen = $state(false);

  /** Adds keys while a screen is open; call the result to take them away. */
  add(name: string, bindings: KeyBinding[]): () => void {
    const group = { name, bindings };
    this.groups = [...this.groups, group];
    return () => (this.groups = this.groups.filter((g) => g.name !== name));
  }

  handle(event: KeyboardEvent): void {
    if (event.ctrlKey || event.metaKey || event.altKey || typing(event.target)) return;
    if (document.querySelector('dialog[open]')) return;
    const key = event.key.toLowerCase();
    if (key === '?') {
      this.sheetOpen = true;
      event.preventDefault();
      return;
    }

    for (const group of this.groups.toReversed()) {
      const found = group.bindings.find(
        (b) =>
          b.key === key &&
          (b.shift ?? false) === (event.shiftKey && /^[a-z]$/.test(key)) &&
          (b.when?.() ?? true),
      );
      if (found) {
        event.preventDefault();
        found.run();
        return;
      }
    }
  }
}

export const keys = new KeyMap();
