import { index, integer, primaryKey, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core'

/** A site as it stands, and how many edits it has had. */
export const sites = sqliteTable('sites', {
  id: text('id').primaryKey(),
  revision: integer('revision').notNull(),
  /** The site document, as JSON, as it stood at `documentRevision`; the log has the edits since. */
  document: text('document').notNull(),
  documentRevision: integer('document_revision').notNull().default(0),
  createdAt: integer('created_at', { mode: 'timestamp_ms' }).notNull(),
  updatedAt: integer('updated_at', { mode: 'timestamp_ms' }).notNull(),
  /** Set while a deleted site can still be brought back. */
  deletedAt: integer('deleted_at', { mode: 'timestamp_ms' }),
  /** The revision that was last exported. */
  exportedRevision: integer('exported_revision'),
  /** The document as it was when it was last read whole and found valid, and its revision: what a damaged site returns to. */
  goodDocument: text('good_document'),
  goodRevision: integer('good_revision'),
  /** How many entries have left the form inbox to make room for newer ones. */
  entriesLeft: integer('entries_left').notNull().default(0),
})

/** Every edit that a site has had, in order: revision n is the document after edit n. */
export const edits = sqliteTable(
  'edits',
  {
    site: text('site')
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    revision: integer('revision').notNull(),
    /** Made by the client for each edit, so that one sent twice is applied once. */
    key: text('key').notNull(),
    edit: text('edit').notNull(),
    createdAt: integer('created_at', { mode: 'timestamp_ms' }).notNull(),
  },
  (table) => [primaryKey({ columns: [table.site, table.revision] }), uniqueIndex('edits_key').on(table.site, table.key)],
)

/** Uploaded pictures by the SHA-256 of their bytes. The files stand beside the database. */
export const pictures = sqliteTable('pictures', {
  hash: text('hash').primaryKey(),
  type: text('type').notNull(),
  width: integer('width').notNull(),
  height: integer('height').notNull(),
  bytes: integer('bytes').notNull(),
  createdAt: integer('created_at', { mode: 'timestamp_ms' }).notNull(),
})

/** What visitors sent with the forms of a site: the form inbox, which stands in for a mail service. */
export const entries = sqliteTable(
  'entries',
  {
    id: text('id').primaryKey(),
    site: text('site')
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    /** Id of the form block, and the name of its page as it was then. */
    form: text('form').notNull(),
    page: text('page').notNull(),
    /** Names of fields and what was sent for them, as JSON, in the order of the form. */
    fields: text('fields').notNull(),
    createdAt: integer('created_at', { mode: 'timestamp_ms' }).notNull(),
  },
  (table) => [index('entries_site').on(table.site, table.createdAt)],
)
