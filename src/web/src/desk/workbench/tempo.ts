export interface TempoPhase {
  name: 'eccentric' | 'pause stretched' | 'concentric' | 'pause shortened';
  seconds: number;
  explosive: boolean;
}

/** The four phases of a tempo such as 3-1-X-0; empty when it cannot be read. */
export function tempoPhases(tempo: string): TempoPhase[] {
  const read = /^(\d+)-(\d+)-(\d+|X)-(\d+)$/i.exec(tempo);
  if (!read) return [];
  const names = ['eccentric', 'pause stretched', 'concentric', 'pause shortened'] as const;
  return names.map((name, i) => {
    const text = read[i + 1] ?? '0';
    const explosive = text.toUpperCase() === 'X';
    return { name, explosive, seconds: explosive ? 0.4 : Number(text) };
  });
}

/** Points of the drawn tempo: down, held, up, held, each as wide as it lasts. */
export function tempoPoints(
  tempo: string,
  width: number,
  height: number,
): { name: string; from: [number, number]; to: [number, number] }[] {
  const phases = tempoPhases(tempo);
  const total = Math.max(
    4,
    phases.reduce((sum, p) => sum + p.seconds, 0),
  );
  const levels = {
    eccentric: [0, 1],
    'pause stretched': [1, 1],
    concentric: [1, 0],
    'pause shortened': [0, 0],
  } as const;
  let x = 0;
  return phases
    .map((phase) => {
      const [a, b] = levels[phase.name];
      const start = x;
      x += (phase.seconds / total) * width;
      return {
        name: phase.name,
        from: [start, 2 + a * (height - 4)] as [number, number],
        to: [x, 2 + b * (height - 4)] as [number, number],
      };
    })
    .filter((s) => s.to[0] > s.from[0]);
}
