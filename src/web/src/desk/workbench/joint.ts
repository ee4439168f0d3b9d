/** A part of a match; why it has its score is known of a line that is open. */
export interface Part {
  part: string;
  score: number;
  reason?: string;
}

/** A tooth of the joint: one part of the match, drawn from the board it belongs to. */
export interface Tooth {
  part: string;
  score: number;
  reason: string | undefined;
  /** Even teeth grow from the gym board, odd ones from the home board. */
  from: 'gym' | 'home';
  x: number;
  y: number;
  width: number;
  height: number;
  /** What is missing to a full tooth. */
  gap: { x: number; width: number };
}

export interface JointShape {
  width: number;
  height: number;
  board: number;
  teeth: Tooth[];
}

/** Geometry of the joint: a full tooth reaches the other board, a short one leaves a gap. */
export function jointShape(parts: Part[], width: number, height: number, board: number): JointShape {
  const span = width - 2 * board;
  const pitch = height / Math.max(1, parts.length);
  const teeth = parts.map((part, i): Tooth => {
    const score = Math.min(1, Math.max(0, part.score));
    const from = i % 2 === 0 ? 'gym' : 'home';
    const length = span * score;
    return {
      part: part.part,
      score,
      reason: part.reason,
      from,
      x: from === 'gym' ? board : board + span - length,
      y: i * pitch,
      width: length,
      height: pitch,
      gap: { x: from === 'gym' ? board + length : board, width: span - length },
    };
  });
  return { width, height, board, teeth };
}

/** The joint in words, for those who cannot see it. */
export function jointInWords(match: number, parts: Part[]): string {
  const short = parts.filter((p) => p.score < 0.75).map((p) => `${p.part} ${Math.round(p.score * 100)} %`);
  const all = `Match ${Math.round(match * 100)} %`;
  return short.length === 0 ? `${all}, every part fits` : `${all}, short of: ${short.join(', ')}`;
}
