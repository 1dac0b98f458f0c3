// The real server on a port of its own, for scripts that look at the application.
import { spawn } from 'node:child_process';

export async function serve(port) {
  const server = spawn(process.execPath, ['server/src/main.mjs', `--port=${port}`], {
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  const base = `http://localhost:${port}`;
  for (let i = 0; i < 100; i++) {
    try {
      if ((await fetch(`${base}/health`)).ok) return { base, stop: () => server.kill('SIGTERM') };
    } catch {
      // not up yet
    }
    await new Promise((r) => setTimeout(r, 100));
  }
  server.kill('SIGTERM');
  throw new Error(`${base} did not answer`);
}
