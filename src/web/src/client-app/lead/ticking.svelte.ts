/** The time of day in ms, renewed with every frame while something is looked at; what is shown is always asked of the clock. */
export class Ticking {
  now = $state(Date.now());

  /** Runs while a component is on the screen; called from an effect. */
  run(): () => void {
    let frame = 0;
    const tick = (): void => {
      this.now = Date.now();
      frame = requestAnimationFrame(tick);
    };
    tick();
    // A tab that is not looked at has no frames.
    const slow = setInterval(() => (this.now = Date.now()), 500);
    return () => {
      cancelAnimationFrame(frame);
      clearInterval(slow);
    };
  }
}

/** 75 → "1:15"; what is over is counted up: "+0:05". */
export const clock = (seconds: number): string => {
  const whole = Math.ceil(Math.abs(seconds) - 1e-9);
  return `${seconds < 0 ? '+' : ''}${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
};
