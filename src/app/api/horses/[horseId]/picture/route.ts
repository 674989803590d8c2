import { mayReadPair } from '@/app/_server/access/ownPair';
import { listPairs } from '@/data/queries/pairs';
import { answering, problemAnswer } from '@/app/_server/answering';
import { may } from '../../../../_server/access/rules';
import { sendPicture } from '@/app/_server/sendPicture';
import { bytesUpTo } from '@/app/_server/requestBody';
import { yardContext } from '@/app/_server/yardContext';
import { findHorse } from '@/data/queries/horses';
import { findPicture, removePicture, savePicture, type PictureMime } from '@/data/queries/horsePictures';
import { gone } from '@/app/_server/refusal';

type Context = { params: Promise<{ horseId: string }> };

const MOST_BYTES = 3 * 1024 * 1024;

/** How a picture begins, by kind: what it says it is has to be what it is. */
const BEGINS: Record<PictureMime, (bytes: Buffer) => boolean> = {
  'image/jpeg': bytes => bytes.subarray(0, 3).equals(Buffer.from([0xff, 0xd8, 0xff])),
  'image/png': bytes => bytes.subarray(0, 4).equals(Buffer.from([0x89, 0x50, 0x4e, 0x47])),
  'image/webp': bytes =>
    bytes.subarray(0, 4).toString('latin1') === 'RIFF' && bytes.subarray(8, 12).toString('latin1') === 'WEBP',
};

export const GET = answering(may.read, async (_: Request, { params }: Context) => {
  const { horseId } = await params;
  const { db, yard, who } = await yardContext();
  // A rider sees the horses of their own pairs; instructors and helpers any, also one that nobody rides yet.
  const isOwn = async () =>
    (await listPairs(db, yard.id)).some(pair => pair.horseId === horseId && mayReadPair(who, pair));
  if (!mayReadPair(who, { riderId: '' }) && !(await isOwn())) return problemAnswer(404, 'This horse has no picture.');
  const picture = await findPicture(db, yard.id, horseId);
  if (!picture) return problemAnswer(404, 'This horse has no picture.');
  return sendPicture(picture);
});

/** Keeps a picture; nothing is changed where it is too large or not what it says. */
export const PUT = answering(may.instruct, async (request: Request, { params }: Context) => {
  const { horseId } = await params;
  const sent = await bytesUpTo(request, MOST_BYTES);
  if (sent === null) return problemAnswer(413, 'A picture has at most 3 MB.');
  const bytes = Buffer.from(sent);
  const mime = (Object.keys(BEGINS) as PictureMime[]).find(kind => kind === request.headers.get('content-type'));
  if (!mime || !BEGINS[mime](bytes)) return problemAnswer(415, 'This is no JPEG, PNG or WebP picture.');
  return changing(horseId, ({ write, yard }) => write(tx => savePicture(tx, yard.id, horseId, { mime, bytes })));
});

export const DELETE = answering(may.instruct, async (_: Request, { params }: Context) => {
  const { horseId } = await params;
  return changing(horseId, ({ write, yard }) => write(tx => removePicture(tx, yard.id, horseId)));
});

type YardContext = Awaited<ReturnType<typeof yardContext>>;

async function changing(horseId: string, change: (context: YardContext) => Promise<void>): Promise<Response> {
  const context = await yardContext();
  if (!(await findHorse(context.db, context.yard.id, horseId))) return problemAnswer(404, gone('horse'));
  await change(context);
  return Response.json({ kept: true });
}
