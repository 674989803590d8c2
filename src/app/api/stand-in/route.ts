import { answering, problemAnswer } from '@/app/_server/answering';
import { may } from '../../_server/access/rules';
import type { FootLanding } from '@/core';
import { standInRide } from './standInRide';

/**
 * The stand-in for a stride sensor, live: a simulated ride as a stream of footfalls (server-sent events), each when it
 * lands, and an event "end" behind the last.
 */
export const GET = answering(may.instruct, async (request: Request) => {
  const ride = await standInRide(request.url);
  if (!ride.ok) return problemAnswer(400, ride.problem);
  const stream = playback(ride.landings, ride.speed, request.signal);
  return new Response(stream, {
    headers: { 'content-type': 'text/event-stream; charset=utf-8', 'cache-control': 'no-store' },
  });
});

function playback(landings: readonly FootLanding[], speed: number, gone: AbortSignal): ReadableStream<Uint8Array> {
  const encoder = new TextEncoder();
  const startMs = Date.now();
  let next = 0;
  return new ReadableStream({
    async pull(controller) {
      const landing = landings[next];
      if (!landing || gone.aborted) {
        if (!gone.aborted) controller.enqueue(encoder.encode('event: end\ndata: {}\n\n'));
        controller.close();
        return;
      }
      next += 1;
      const waitMs = startMs + (landing.timeS * 1000) / speed - Date.now();
      if (waitMs > 0) await new Promise(resolve => setTimeout(resolve, waitMs));
      if (!gone.aborted) controller.enqueue(encoder.encode(`data: ${JSON.stringify(landing)}\n\n`));
    },
  });
}
