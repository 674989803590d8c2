import { writeFootfalls } from '@/files/footfallCsv';
import { standInRide } from '../standInRide';

/** The stand-in for a stride sensor, as a file: the same ride as CSV. */
export async function GET(request: Request) {
  const ride = await standInRide(request.url);
  if (!ride.ok) return Response.json({ problem: ride.problem }, { status: 400 });
  return new Response(writeFootfalls(ride.landings), {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': 'attachment; filename="footfalls.csv"',
    },
  });
}
