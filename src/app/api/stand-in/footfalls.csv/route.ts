import { answering, problemAnswer } from '@/app/_server/answering';
import { may } from '../../../_server/access/rules';
import { writeFootfalls } from '@/files/footfallCsv';
import { standInRide } from '../standInRide';

/** The stand-in for a stride sensor, as a file: the same ride as CSV. */
export const GET = answering(may.instruct, async (request: Request) => {
  const ride = await standInRide(request.url);
  if (!ride.ok) return problemAnswer(400, ride.problem);
  return new Response(writeFootfalls(ride.landings), {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': 'attachment; filename="footfalls.csv"',
    },
  });
});
