import { and, eq } from 'drizzle-orm';
import type { RoanDatabase } from '../database';
import { horsePictures } from '../schema';
import type { Transaction } from '../database';

export type PictureMime = 'image/jpeg' | 'image/png' | 'image/webp';

export async function findPicture(db: Pick<RoanDatabase, 'select'>, yardId: string, horseId: string) {
  const [picture] = await db
    .select({ mime: horsePictures.mime, bytes: horsePictures.bytes, createdAt: horsePictures.createdAt })
    .from(horsePictures)
    .where(and(eq(horsePictures.yardId, yardId), eq(horsePictures.horseId, horseId)));
  return picture ?? null;
}

/** When each horse's picture was made, by horse: enough to show it, and to ask for it anew once it changed. */
export async function pictureTimes(db: Pick<RoanDatabase, 'select'>, yardId: string): Promise<Map<string, number>> {
  const rows = await db
    .select({ horseId: horsePictures.horseId, createdAt: horsePictures.createdAt })
    .from(horsePictures)
    .where(eq(horsePictures.yardId, yardId));
  return new Map(rows.map(({ horseId, createdAt }) => [horseId, createdAt.getTime()]));
}

/** Keeps a horse's picture in place of the one before. */
export async function savePicture(
  tx: Transaction,
  yardId: string,
  horseId: string,
  picture: { mime: PictureMime; bytes: Buffer },
): Promise<void> {
  const values = { horseId, yardId, ...picture, createdAt: new Date() };
  await tx.insert(horsePictures).values(values).onConflictDoUpdate({ target: horsePictures.horseId, set: values });
}

/** A picture is no record: it can be taken away. */
export async function removePicture(tx: Transaction, yardId: string, horseId: string): Promise<void> {
  await tx.delete(horsePictures).where(and(eq(horsePictures.yardId, yardId), eq(horsePictures.horseId, horseId)));
}
