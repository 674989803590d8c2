import { answering, problemAnswer } from '@/app/_server/answering';
import { bytesUpTo } from '@/app/_server/requestBody';
import { yardContext } from '@/app/_server/yardContext';
import { addStill } from '@/data/queries/filmStills';
import { z } from 'zod';
import { may } from '../../../../_server/access/rules';

type Context = { params: Promise<{ videoId: string }> };

const Wish = z.object({ id: z.uuid(), at: z.coerce.number().min(0).max(36_000) });

const MOST_BYTES = 1024 * 1024;
const JPEG = Buffer.from([0xff, 0xd8, 0xff]);

/** Keeps a picture out of a film, ?at= so many seconds. */
export const POST = answering(may.instruct, async (request: Request, { params }: Context) => {
  const { videoId } = await params;
  const wish = Wish.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!wish.success) return problemAnswer(422, 'A picture has an id and a time in its film.');
  const sent = await bytesUpTo(request, MOST_BYTES);
  if (sent === null) return problemAnswer(413, 'A picture out of a film has at most 1 MB.');
  const bytes = Buffer.from(sent);
  if (!bytes.subarray(0, JPEG.length).equals(JPEG)) return problemAnswer(415, 'This is no JPEG picture.');
  const { write, yard } = await yardContext();
  await write(tx => addStill(tx, yard.id, videoId, { id: wish.data.id, atS: wish.data.at, bytes }));
  return Response.json({ id: wish.data.id });
});
