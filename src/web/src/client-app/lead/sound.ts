import { beats, type Beat } from './count';
import type { RepPhase } from '../types';

/** How a client wants to be led. */
export type Leading = 'ticks' | 'voice' | 'silent';

const ahead = 2.5; // s; a tab in the background is woken once a second.

/**
 * What is heard and felt. Sounds are told to the audio clock beforehand: it goes on when a tab sleeps, and does not wait for the page.
 */
export class Sound {
  leading: Leading = 'ticks';

  #audio: AudioContext | null = null;
  #planned: OscillatorNode[] = [];
  #timer: ReturnType<typeof setInterval> | undefined;
  #told = 0;

  /** Browsers give sound only after a touch: called from one. */
  wake(): void {
    if (typeof AudioContext === 'undefined') return;
    this.#audio ??= new AudioContext();
    void this.#audio.resume();
  }

  /** Leads a count that began at a moment of `Date.now()`. */
  lead(phases: RepPhase[], beganAt: number): void {
    this.stop();
    this.wake();
    this.#told = (Date.now() - beganAt) / 1000;
    const tell = (): void => {
      const now = (Date.now() - beganAt) / 1000;
      for (const beat of beats(phases, this.#told, now + ahead)) this.#beat(beat, beat.at - now);
      this.#told = Math.max(this.#told, now + ahead);
    };
    tell();
    this.#timer = setInterval(tell, 500);
  }

  /** A hold or a rest: a sound at ten seconds and at the end. */
  ends(inSeconds: number): void {
    this.stop();
    if (inSeconds > 10.5) this.#tone(inSeconds - 10, 660, 0.12);
    if (inSeconds > 0) {
      this.#tone(inSeconds, 880, 0.16);
      this.#tone(inSeconds + 0.22, 1175, 0.3);
    }
  }

  /** Felt in the hand or the pocket, also when it is silent. */
  buzz(pattern: number | number[]): void {
    navigator.vibrate?.(pattern);
  }

  stop(): void {
    clearInterval(this.#timer);
    for (const node of this.#planned) {
      try {
        node.stop();
      } catch {
        // It has ended already.
      }
    }

    this.#planned = [];
    if (typeof speechSynthesis !== 'undefined') speechSynthesis.cancel();
  }

  #beat(beat: Beat, inSeconds: number): void {
    if (this.leading === 'voice' && typeof speechSynthesis !== 'undefined') {
      setTimeout(
        () => speechSynthesis.speak(new SpeechSynthesisUtterance(beat.word)),
        Math.max(0, inSeconds * 1000),
      );
      return;
    }

    const [pitch, length] =
      beat.kind === 'rep'
        ? [880, 0.12]
        : beat.kind === 'phase'
          ? [587, 0.12]
          : beat.kind === 'lead'
            ? [440, 0.08]
            : [330, 0.03];
    this.#tone(inSeconds, pitch, length);
    if (beat.kind === 'rep' || beat.kind === 'phase')
      setTimeout(() => this.buzz(beat.kind === 'rep' ? 60 : 25), Math.max(0, inSeconds * 1000));
  }

  #tone(inSeconds: number, pitch: number, length: number): void {
    if (!this.#audio || this.leading === 'silent') return;
    const at = this.#audio.currentTime + Math.max(0, inSeconds);
    const [tone, loud] = [this.#audio.createOscillator(), this.#audio.createGain()];
    tone.frequency.value = pitch;
    loud.gain.setValueAtTime(0.0001, at);
    loud.gain.exponentialRampToValueAtTime(0.25, at + 0.008);
    loud.gain.exponentialRampToValueAtTime(0.0001, at + length);
    tone.connect(loud).connect(this.#audio.destination);
    tone.start(at);
    tone.stop(at + length + 0.02);
    this.#planned.push(tone);
    tone.onended = () => (this.#planned = this.#planned.filter((n) => n !== tone));
  }
}
