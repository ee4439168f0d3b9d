import type {
  DecidedPlan,
  HomeLine,
  PlanCommand,
  RebuildRequest,
  RebuildResult,
  SavedPlace,
  StandingLine,
} from '../../shared/api/types';
import { Problem } from '../api/problem';
import { toasts } from '../toasts.svelte';
import { byDay, stoodIn } from './days';
import { decidedIn, type Decided } from './decided';
import type { GymText } from './gymText.svelte';
import type { OpenClient } from './openClient.svelte';
import { decided, rebuilt } from './plans';

/** What a proposal is made from beside what is decided. */
interface Basis {
  readonly client: OpenClient;
  readonly gym: GymText;
  place(): SavedPlace | undefined;
}

/** What the engine proposes for a gym week at a place, under what the coach decided; one request is under way at a time. */
export class Proposal {
  result = $state<RebuildResult | null>(null);
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
  /** It is not what is saved. */
  unsaved = $state(false);

  readonly lines = $derived<HomeLine[]>(this.result?.plan.lines ?? []);
  readonly days = $derived(this.result ? byDay(this.result.plan) : []);
  readonly line = $derived<HomeLine | undefined>(this.lines[this.selected]);

  readonly #from: Basis;
  /** What the last decision was taken on. */
  #last: { request: RebuildRequest; standing: StandingLine[]; decisions: PlanCommand[] } | null = null;
  #working: Promise<unknown> = Promise.resolve();

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
      this.#put(await decided(last.request, last.standing, [...last.decisions, keep]), true);
      return true;
    } catch (error) {
      toasts.problem(error);
      return false;
    } finally {
      this.busy = false;
    }
  }

  /** The plan that a decision would give, for looking before taking; nothing here changes. */
  async tried(decision: PlanCommand): Promise<RebuildResult> {
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
    this.result = await rebuilt(request);
    this.#from.gym.readAs(this.result.plan.lines.length, this.result.errors, this.result.rows);
    this.editing = false;
    this.unsaved = false;
  }

  /** Nothing is proposed: the gym week is there to be edited. */
  clear(): void {
    this.result = null;
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
    this.result = result;
    this.beside = beside;
    this.#from.gym.readAs(result.plan.lines.length, result.errors, result.rows);
    this.selected = Math.min(this.selected, Math.max(0, result.plan.lines.length - 1));
    this.unsaved = unsaved;
    for (const { figures, from } of dropped ?? [])
      toasts.done(`${figures}, typed for ${from}, does not go along to the other exercise.`);
  }

  /** The plan that decisions give; without any, of what is decided already. */
  async #decided(decisions: PlanCommand[], request = this.request()): Promise<DecidedPlan> {
    if (decisions.length > 0) return decided(request, this.result?.plan.standing ?? [], decisions);
    const result = await rebuilt(request);
    return { request: { ...request, keyed: result.keyed }, result, beside: [], dropped: [] };
  }
}
