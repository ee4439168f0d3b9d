import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';

const root = resolve(import.meta.dirname, '../../..');

/** A real server with a real SQLite file of its own, on a free port. */
export class Server {
  url = '';
  /** What the server printed for the first coach. */
  setupCode = '';
  readonly data = mkdtempSync(join(tmpdir(), 'ingegno-test-'));
  #process: ChildProcess | undefined;

  constructor(readonly demo: boolean) {}

  async start(): Promise<void> {
    const dll = join(root, 'src/Ingegno.Web/bin/Release/net10.0/Ingegno.Web.dll');
    const port = this.url ? new URL(this.url).port : '0';
    const child = spawn('dotnet', [
      dll,
      ...['--urls', `http://127.0.0.1:${port}`, '--Data', this.data, '--webroot', join(root, 'src/web/dist')],
      ...['--Demo', String(this.demo)],
    ]);
    this.#process = child;
    this.url = await new Promise((found, failed) => {
      let output = '';
      const read = (chunk: Buffer): void => {
        output += chunk.toString();
        this.setupCode = /setup code: (\S+)/.exec(output)?.[1] ?? '';
        const said = /Ingegno is running at (http:\S+)/.exec(output);
        if (said?.[1]) found(said[1]);
      };
      child.stdout.on('data', read);
      child.stderr.on('data', read);
      child.on('exit', (code) => failed(new Error(`The server ended with ${code}: ${output}`)));
    });
  }

  /** Ends the server the hard way, as a power cut would. */
  async kill(): Promise<void> {
    const child = this.#process;
    if (!child || child.exitCode !== null) return;
    const gone = new Promise((done) => child.once('exit', done));
    child.kill('SIGKILL');
    await gone;
  }

  async dispose(): Promise<void> {
    await this.kill();
    rmSync(this.data, { recursive: true, force: true });
  }
}

export const demoCoach = { email: 'coach@boathouse.example', password: 'slipway-lantern-42' };
