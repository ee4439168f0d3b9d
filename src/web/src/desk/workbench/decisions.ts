import type { HomeEdit, LineInBrief, PlanCommand, RebuiltWeek, Remedy } from '../../shared/api/types';
import { toasts } from '../toasts.svelte';
import { count } from '../../shared/words';
import type { Decided } from './decided';
import { editInWords } from './edits';
import type { Marks } from './marks.svelte';

/** What decisions are taken on. */
interface Bench {
  readonly line: LineInBrief | undefined;
  readonly proposal: {
    readonly decided: Decided;
    /** The plan that a decision would give; nothing here changes. */
    tried(decision: PlanCommand): Promise<RebuiltWeek>;
  };
  readonly marks: Marks;
  /** Takes a decision; undo takes it back. False when it was refused. */
  take(decision: PlanCommand): Promise<boolean>;
  undo(): Promise<void>;
}

/** What a coach decides at the workbench, each as one step. */
export class Decisions {
  readonly #bench: Bench;

  constructor(bench: Bench) {
    this.#bench = bench;
  }

  /** What the week would be under an approach, for looking before taking. */
  underApproach(approach: string, day?: string): Promise<RebuiltWeek> {
    return this.#bench.proposal.tried({ kind: 'follow-approach', approach, day });
  }

  follow(approach: string, day?: string): Promise<boolean> {
    return this.#bench.take({ kind: 'follow-approach', approach, day });
  }

  /** Takes a candidate for a line and keeps it. */
  async choose(candidateId: string, line = this.#bench.line): Promise<void> {
    if (line) await this.#bench.take({ kind: 'choose-candidate', line: line.gym.key, candidateId });
  }

  /** Keeps the present choice of the selected line; one that is kept stays so. */
  async keep(): Promise<void> {
    const line = this.#bench.line;
    if (!line?.chosen) return;
    if (line.locked) toasts.done(`${line.chosen.name} is kept already. X hands the line back to the engine.`);
    else await this.choose(line.chosen.id, line);
  }

  /** Hands the selected line back to the engine: its choice and what was typed for it are no longer kept. */
  async handBack(): Promise<void> {
    const line = this.#bench.line;
    if (!line?.locked) return;
    if (!(await this.#bench.take({ kind: 'leave-to-engine', line: line.gym.key }))) return;
    toasts.done(`${line.gymExerciseName}: the engine chooses again.`, () => void this.#bench.undo());
  }

  /** Corrects what the selected line is for; null leaves it to be inferred. */
  async setRole(role: LineInBrief['role'] | null): Promise<void> {
    const line = this.#bench.line?.gym.key;
    if (line !== undefined) await this.#bench.take({ kind: 'set-role', line, role });
  }

  /** Sets figures of a home exercise. */
  async edit(edit: HomeEdit): Promise<void> {
    const { marks } = this.#bench;
    const before = marks.lastEdit;
    marks.lastEdit = edit;
    if (!(await this.#bench.take({ kind: 'set-figures', edits: [edit] }))) marks.lastEdit = before;
  }

  /** Does the last edit again: on the marked lines, or on the selected one. */
  async repeatEdit(): Promise<void> {
    const { marks, line } = this.#bench;
    const figures = marks.lastEdit;
    const lines = marks.targets(line?.gym.key);
    if (!figures || lines.length === 0) return;
    if (!(await this.#bench.take({ kind: 'repeat-figures', figures, lines }))) return;
    toasts.done(
      `${editInWords({ ...figures, externalKg: null })}: ${count(lines.length, 'line')}.`,
      () => void this.#bench.undo(),
    );
  }

  /** Cuts the days to the client's minutes, or lets them take what they take. */
  fit(on: boolean): Promise<boolean> {
    return this.#bench.take({ kind: 'fit-to-minutes', on });
  }

  /** Opens the last set of what was never logged, so that the log can set the dose, or closes it again. */
  toggleCalibration(): Promise<boolean> {
    return this.#bench.take({ kind: 'calibrate', on: !this.#bench.proposal.decided.calibrate });
  }

  /** Does in one press what a finding proposes. */
  remedy(remedy: Remedy): Promise<boolean> {
    return this.#bench.take({ kind: 'take-remedy', remedy });
  }

  /** Lets a finding stand, with the reason; an empty one takes that back. */
  accept(key: string, note: string): Promise<boolean> {
    return this.#bench.take({ kind: 'accept-finding', key, note });
  }
}
