import type { LiftTrend } from '../../shared/api/types';

/** A chart in a box of width × height: pure geometry, drawn elsewhere. */
export interface TrendChart {
  line: string;
  band: string;
  dots: { x: number; y: number; title: string }[];
  ticks: { y: number; text: string }[];
  days: { x: number; text: string }[];
}

const dayOf = (iso: string): number => Date.parse(iso) / 86_400_000;
const round = (value: number): number => Math.round(value * 10) / 10;

/** Estimate with its band, and what each day showed. */
export function trendChart(
  trend: LiftTrend,
  width: number,
  height: number,
  left = 34,
  bottom = 18,
): TrendChart {
  const days = trend.points.map((p) => dayOf(p.day));
  const [first, last] = [Math.min(...days), Math.max(...days)];
  const low = Math.min(...trend.points.map((p) => Math.min(p.lowKg, p.seenKg)));
  const high = Math.max(...trend.points.map((p) => Math.max(p.highKg, p.seenKg)));
  const pad = Math.max(0.5, (high - low) * 0.08);
  const [min, max] = [low - pad, high + pad];
  const x = (day: number): number =>
    round(left + ((width - left - 6) * (day - first)) / Math.max(1, last - first));
  const y = (kg: number): number => round(4 + (height - bottom - 4) * (1 - (kg - min) / (max - min)));
  const at = (kg: (p: LiftTrend['points'][number]) => number): string[] =>
    trend.points.map((p) => `${x(dayOf(p.day))},${y(kg(p))}`);
  const step = niceStep((max - min) / 3);
  const ticks = Array.from({ length: 6 }, (_, i) => (Math.ceil(min / step) + i) * step).filter(
    (kg) => kg <= max,
  );
  return {
    line: at((p) => p.estimateKg).join(' '),
    band: [...at((p) => p.highKg), ...at((p) => p.lowKg).reverse()].join(' '),
    dots: trend.points.map((p) => ({
      x: x(dayOf(p.day)),
      y: y(p.seenKg),
      title: `${p.day}: ${p.bestSet}, stands for ${p.seenKg} kg`,
    })),
    ticks: ticks.map((kg) => ({ y: y(kg), text: String(round(kg)) })),
    days: trend.points
      .filter((_, i) => i === 0 || i === trend.points.length - 1)
      .map((p) => ({ x: x(dayOf(p.day)), text: p.day })),
  };
}

/** 1, 2 or 5 times a power of ten, at least so large. */
export function niceStep(least: number): number {
  const power = 10 ** Math.floor(Math.log10(Math.max(least, 0.1)));
  return [1, 2, 5, 10].map((f) => f * power).find((s) => s >= least) ?? power * 10;
}
