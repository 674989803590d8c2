import { index, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { createdAt, id, instant } from './columns';

/**
 * Who may come in, by what. None of it is in an archive: it belongs to this Roan, not to the yard's record. People and
 * yards are named without a reference, since a restored archive has others.
 */
export const passphrases = sqliteTable('passphrases', {
  personId: text('person_id').primaryKey(),
  yardId: text('yard_id').notNull(),
  /** Argon2id, with its own salt and costs. */
  hash: text('hash').notNull(),
  changedAt: instant('changed_at').notNull(),
});

/** A link that lets one device in as a person, once, for ten minutes. */
export const deviceLinks = sqliteTable('device_links', {
  id: id(),
  yardId: text('yard_id').notNull(),
  personId: text('person_id').notNull(),
  tokenHash: text('token_hash').notNull().unique(),
  expiresAt: instant('expires_at').notNull(),
  usedAt: instant('used_at'),
  createdAt: createdAt(),
});

/** A device that is signed in. */
export const sessions = sqliteTable(
  'sessions',
  {
    id: id(),
    yardId: text('yard_id').notNull(),
    personId: text('person_id').notNull(),
    /** What the device calls itself, in a few words. */
    device: text('device').notNull(),
    createdAt: createdAt(),
    lastSeenAt: instant('last_seen_at').notNull(),
    endedAt: instant('ended_at'),
  },
  table => [index('sessions_by_yard').on(table.yardId)],
);

/** A page that whoever has the link may read: a rider's own, a lesson, a layout, or the calendar as a feed. */
export const shareLinks = sqliteTable(
  'share_links',
  {
    id: id(),
    yardId: text('yard_id').notNull(),
    kind: text('kind', { enum: ['rider', 'lesson', 'layout', 'calendar'] }).notNull(),
    /** The person, lesson or layout it shows; the yard for the calendar. */
    subjectId: text('subject_id').notNull(),
    tokenHash: text('token_hash').notNull().unique(),
    expiresAt: instant('expires_at'),
    revokedAt: instant('revoked_at'),
    lastUsedAt: instant('last_used_at'),
    createdAt: createdAt(),
  },
  table => [index('share_links_by_yard').on(table.yardId)],
);
