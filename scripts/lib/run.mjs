import { spawn } from 'node:child_process';

/** Runs a command to its end. Resolves with its exit code; its output is shown, or kept back and returned. */
export function run(command, args, { env = {}, quiet = false } = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, {
      env: { ...process.env, ...env },
      stdio: ['ignore', quiet ? 'pipe' : 'inherit', quiet ? 'pipe' : 'inherit'],
      shell: process.platform === 'win32',
    });
    let output = '';
    child.stdout?.on('data', chunk => (output += chunk));
    child.stderr?.on('data', chunk => (output += chunk));
    child.once('error', reject);
    child.once('close', code => resolve({ code: code ?? 1, output }));
  });
}

/** Says what stopped us in one sentence, with what the command printed above it, and ends the process. */
export function giveUp(sentence, output = '') {
  if (output.trim() !== '') process.stderr.write(`${output.trimEnd()}\n`);
  process.stderr.write(`${sentence}\n`);
  process.exit(1);
}
