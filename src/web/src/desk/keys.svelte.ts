export interface KeyBinding {
  /** Key as the browser names it, lower case: "r", "arrowdown", "?". */
  key: string;
  /** What it does, as the help sheet says it. */
  label: string;
  run: () => void;
  /** Shown in the sheet instead of the key, for ranges such as 1–9. */
  shown?: string;
  /** It saves: Ctrl S does it too, in the middle of a field. */
  saves?: boolean;
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
    if (this.#save(event) || this.#leaveField(event)) return;
    if (event.ctrlKey || event.metaKey || event.altKey || typing(event.target)) return;
    if (document.querySelector('dialog[open]')) return;
    const key = event.key.toLowerCase();
    if (key === '?') {
      this.sheetOpen = true;
      event.preventDefault();
      return;
    }

    const found = this.#bound(key, event.shiftKey && /^[a-z]$/.test(key));
    if (!found) return;
    event.preventDefault();
    found.run();
  }

  #bound(key: string, shift: boolean): KeyBinding | undefined {
    for (const group of this.groups.toReversed()) {
      const found = group.bindings.find(
        (b) => b.key === key && (b.shift ?? false) === shift && (b.when?.() ?? true),
      );
      if (found) return found;
    }
    return undefined;
  }

  #saving(): KeyBinding | undefined {
    return this.groups
      .toReversed()
      .flatMap((group) => group.bindings)
      .find((b) => b.saves);
  }

  /** Ctrl S saves wherever one is, in the middle of a field too. */
  #save(event: KeyboardEvent): boolean {
    if (!(event.ctrlKey || event.metaKey) || event.altKey || event.key.toLowerCase() !== 's') return false;
    event.preventDefault();
    if (event.target instanceof HTMLElement)
      event.target.dispatchEvent(new Event('change', { bubbles: true }));
    if (!document.querySelector('dialog[open]')) this.#saving()?.run();
    return true;
  }

  /** Esc leaves a field, so that letters are keys again; in a dialog it closes the dialog. */
  #leaveField(event: KeyboardEvent): boolean {
    if (event.key !== 'Escape' || event.defaultPrevented || !typing(event.target)) return false;
    const field = event.target as HTMLElement;
    if (field.closest('dialog')) return false;
    field.blur();
    return true;
  }
}

export const keys = new KeyMap();
