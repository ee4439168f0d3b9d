import type {
  Candidate,
  DecidedPlan,
  LineInBrief,
  OpenedLine,
  PlanCommand,
  RebuildRequest,
  RebuiltWeek,
  SavedPlace,
  StandingLine,
} from '../../shared/api/types';
import { Problem } from '../api/problem';
import { toasts } from '../toasts.svelte';
import { byDay, stoodIn } from './days';
import { decidedIn, type Decided } from './decided';
import type { GymText } from './gymText.svelte';
import type { OpenClient } from './openClient.svelte';
import { candidatesOf, decided, openedLines, rebuilt } from './plans';
import { whole } from './whole';

/** What a proposal is made from beside what is decided. */
interface Basis {
  readonly client: OpenClient;
  readonly gym: GymText;
  place(): SavedPlace | undefined;
}

/** What the engine proposes for a gym week at a place, under what the coach decided; one request is under way at a time. */
export class Proposal {
  /** Replaced as a whole and never changed, so that a week of forty lines costs no watching. */
  result = $state.raw<RebuiltWeek | null>(null);
  /** Lines of the result that were opened, by their keys. */
  #open = $state.raw<Record<number, OpenedLine>>({});
  /** What the coach decided, here and now. */
  decided = $state<Decided>(decidedIn());
  selected = $state(0);
  /** The gym week is edited instead. */
  editing = $state(false);
  busy = $state(false);
  /** What the last decision changed on lines that it was not about: the coach is told, and may have them back. */
  beside = $state<DecidedPlan['beside']>([]);
  /** Decided while the server did not answer: kept, and taken as soon as it does. */
  pending = $state<PlanCommand[]>([]);
  /** Why the selected line could not be opened; null when it could. */
  openFailed = $state<unknown>(null);
  /** It is not what is saved. */
  unsaved = $state(false);

  readonly lines = $derived<LineInBrief[]>(this.result?.plan.lines ?? []);
  readonly days = $derived(this.result ? byDay(this.result.plan) : []);
  readonly line = $derived<LineInBrief | undefined>(this.lines[this.selected]);
  /** All that is known of the selected line; undefined until it has been asked for. */
  readonly opened = $derived<OpenedLine | undefined>(this.line && this.#open[this.line.gym.key]);

  readonly #from: Basis;
  /** What the last decision was taken on. */
  #last: { request: RebuildRequest; standing: StandingLine[]; decisions: PlanCommand[] } | null = null;
  #working: Promise<unknown> = Promise.resolve();
  /** What the result was made from. */
  #madeFrom: RebuildRequest | null = null;
  /** Lines of the result that are being asked for. */
  // eslint-disable-next-line svelte/prefer-svelte-reactivity -- nobody watches it
  readonly #asking = new Map<number, Promise<void>>();

  constructor(from: Basis) {
    this.#from = from;
  }

  /** What is under way is done. */
  async settled(): Promise<void> {
    await this.#working;
  }

  request(decided: Decided = this.decided, place = this.#from.place()): RebuildRequest {
    return {
      client: this.#from.client.now(),
      kit: ($state.snapshot(place?.value) as RebuildRequest['kit'] | undefined) ?? {
        name: 'No place',
        items: [],
      },
      gymLines: this.#from.gym.text.split(/\r?\n/),
      ...$state.snapshot(decided),
    };
  }

  /** Key of the approach that a day follows, or the week without one. */
  approachOn(day?: string): string {
    const own =
      day === undefined ? undefined : this.decided.dayApproaches.find((a) => a.day === day)?.approach;
    return own ?? this.decided.approach ?? this.#from.client.approach;
  }

  /** Proposes anew under what is decided; what is refused is said and changes nothing. */
  async again(unsaved: boolean): Promise<void> {
    if (!this.busy) this.#working = this.#rebuild(unsaved);
    await this.#working;
  }

  /**
   * Takes a decision once what is under way is done; false when it is refused.
   * @param ready What comes before everything else, and what is done just before it is taken.
   */
  take(decision: PlanCommand, ready: { after: Promise<unknown>; first: () => void }): Promise<boolean> {
    const plain = $state.snapshot(decision) as PlanCommand;
    const taken = Promise.all([ready.after, this.#working]).then(() => {
      ready.first();
      return this.#rebuild(true, [plain]);
    });
    this.#working = taken;
    return taken;
  }

  /** The last decision once more, with what it changed beside left as it stood; false where there is nothing to leave. */
  async takeWithoutTheRest(): Promise<boolean> {
    const last = this.#last;
    if (!last || this.beside.length === 0 || this.busy) return false;
    this.busy = true;
    try {
      const keep: PlanCommand = { kind: 'keep-standing', lines: this.beside.map((line) => line.line) };
      const again = await decided(last.request, last.standing, [...last.decisions, keep], {
        open: this.line ? [this.line.gym.key] : [],
      });
      this.#put(again, true);
      return true;
    } catch (error) {
      toasts.problem(error);
      return false;
    } finally {
      this.busy = false;
    }
  }

  /** The plan that a decision would give, for looking before taking; nothing here changes. */
  async tried(decision: PlanCommand): Promise<RebuiltWeek> {
    return (await this.#decided([decision])).result;
  }

  /** What stands now gets a head start: two kilograms more or a line more change what they touch, not the rest. */
  headStart(): void {
    if (this.result) this.decided.before = stoodIn(this.result.plan);
  }

  /** Shows what a saved version was made from; its candidates are found again from the same request. */
  async show(request: RebuildRequest): Promise<void> {
    this.decided = decidedIn(request);
    this.beside = [];
    this.#show(await rebuilt(request), request);
    this.editing = false;
    this.unsaved = false;
  }

  /** Nothing is proposed: the gym week is there to be edited. */
  clear(): void {
    this.result = null;
    this.#open = {};
    this.editing = true;
  }

  /** True when there is a new plan; what is refused is said and changes nothing. */
  async #rebuild(unsaved: boolean, decisions: PlanCommand[] = []): Promise<boolean> {
    if (!this.#from.client.saved || this.busy) return false;
    this.busy = true;
    try {
      await this.#from.gym.keeper.flush();
      const request = this.request();
      const standing = $state.snapshot(this.result?.plan.standing ?? []) as StandingLine[];
      const got = await this.#decided(decisions, request);
      this.#last = decisions.length > 0 ? { request, standing, decisions } : null;
      this.#put(got, unsaved);
      this.editing = got.result.plan.lines.length === 0;
      return true;
    } catch (error) {
      // What was pressed is not lost because nobody answered: it waits, and the screen says so.
      const waits = decisions.length > 0 && error instanceof Problem && error.isPassing;
      if (waits) this.pending = [...this.pending, ...decisions.filter((d) => !this.pending.includes(d))];
      else toasts.problem(error);
      return false;
    } finally {
      this.busy = false;
    }
  }

  /** Takes what waits for the server; false when it still does not answer, and true when nothing waits any more. */
  async takePending(): Promise<boolean> {
    const decisions = $state.snapshot(this.pending) as PlanCommand[];
    if (decisions.length === 0) return false;
    this.pending = [];
    const done = await this.#rebuild(true, decisions);
    if (!done && this.pending.length === 0 && this.busy) this.pending = decisions;
    return done;
  }

  #put({ request, result, beside, dropped }: DecidedPlan, unsaved: boolean): void {
    this.decided = decidedIn(request);
    this.#show(result, request);
    this.beside = beside;
    this.selected = Math.min(this.selected, Math.max(0, result.plan.lines.length - 1));
    this.unsaved = unsaved;
    for (const { figures, from } of dropped ?? [])
      toasts.done(`${figures}, typed for ${from}, does not go along to the other exercise.`);
  }

  #show(result: RebuiltWeek, from: RebuildRequest): void {
    this.result = result;
    this.#madeFrom = { ...from, keyed: result.keyed };
    this.#asking.clear();
    this.#open = Object.fromEntries(result.opened.map((line) => [line.line, line]));
    this.openFailed = null;
    this.#from.gym.readAs(result.plan.lines.length, result.errors, result.rows);
  }

  /**
   * Opens a line; those beside the selected one are fetched along, for they are looked at next.
   * @param key Its key; without one, the selected line's. When a decision comes in between, it is opened as it is then.
   * @returns All that is known of it; undefined when it cannot be had, which `openFailed` tells.
   */
  async open(key = this.line?.gym.key): Promise<OpenedLine | undefined> {
    if (key === undefined) return undefined;
    const { result } = this;
    if (!result?.plan.lines.some((line) => line.gym.key === key)) return undefined;
    const near = [this.selected, this.selected + 1, this.selected - 1].map((i) => this.lines[i]?.gym.key);
    const wanted = [key, ...near.filter((k) => k !== key)].filter(
      (k): k is number => k !== undefined && !this.#open[k] && !this.#asking.has(k),
    );
    if (wanted.length > 0) {
      const asked = this.#ask(wanted);
      for (const k of wanted) this.#asking.set(k, asked);
    }
    if (!this.#open[key]) await this.#asking.get(key);
    return this.result === result ? this.#open[key] : this.open(key);
  }

  /** The candidates of a line with all that is known of them, the one that is taken as it stands in the plan. */
  async candidates(key: number): Promise<Candidate[]> {
    const [opened, found] = await Promise.all([
      this.open(key),
      this.#madeFrom ? candidatesOf(this.#madeFrom, key) : [],
    ]);
    const taken = opened?.chosen;
    const others = found.map((c) => (c.id === taken?.id ? taken : c));
    return !taken || others.includes(taken) ? others : [taken, ...others];
  }

  async #ask(keys: number[]): Promise<void> {
    const { result } = this;
    this.openFailed = null;
    try {
      // What is shown was made from this; what is typed since belongs to the next answer.
      const lines = this.#madeFrom ? await openedLines(this.#madeFrom, keys) : [];
      if (this.result === result)
        this.#open = { ...this.#open, ...Object.fromEntries(lines.map((line) => [line.line, line])) };
    } catch (error) {
      if (this.result === result) this.openFailed = error;
    } finally {
      if (this.result === result) for (const key of keys) this.#asking.delete(key);
    }
  }

  /** The plan that decisions give, its lines all there; without any, of what is decided already. */
  async #decided(decisions: PlanCommand[], request = this.request()): Promise<DecidedPlan> {
    const open = this.line ? [this.line.gym.key] : [];
    if (decisions.length > 0) {
      const has = this.result;
      const seen = (has?.plan.lines ?? []).map(({ gym, mark }) => ({ line: gym.key, mark }));
      const got = await decided(request, has?.plan.standing ?? [], decisions, { seen, open });
      return { ...got, result: whole(got.result, has) };
    }
    const result = await rebuilt(request, open);
    return { request: { ...request, keyed: result.keyed }, result, beside: [], dropped: [] };
  }
}
