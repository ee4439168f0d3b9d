import { api, ask } from './api/client';
import type { KitKind, RulesSummary } from '../shared/api/types';
import { inWords, sentence } from '../shared/words';

/** What the server knows of the domain rules, fetched once. */
class DomainRules {
  summary = $state<RulesSummary | null>(null);
  #loading: Promise<void> | null = null;

  load(): Promise<void> {
    return (this.#loading ??= ask(() => api.GET('/api/v1/trade')).then(
      (summary) => {
        this.summary = summary;
      },
      (error: unknown) => {
        this.#loading = null;
        throw error;
      },
    ));
  }

  /** Fetches it anew after the practice changed something of it. */
  renew(): Promise<void> {
    this.#loading = null;
    return this.load();
  }

  /** Name of an exercise; its key in words when the catalogue has it no more. */
  exerciseName(id: string): string {
    return this.summary?.exercises.find((e) => e.id === id)?.name ?? sentence(inWords(id));
  }

  /** Name of a technique: "Slow eccentric", "All-out hold before the set". */
  techniqueName(of: string): string {
    const steps = this.summary?.techniqueSteps.filter((s) => s.of === of) ?? [];
    return sentence(steps.length === 1 ? steps[0]!.label.replace(/^an? /, '') : inWords(of));
  }

  /** Name of one step of a technique: "five-second eccentric"; its key in words when there is none any more. */
  stepName(id: string): string {
    return this.summary?.techniqueSteps.find((s) => s.id === id)?.label ?? inWords(id);
  }

  kind(id: string): KitKind | undefined {
    return this.summary?.kitKinds.find((k) => k.id === id);
  }
}

export const domainRules = new DomainRules();
