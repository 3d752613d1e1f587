import type { TextIndex } from '../dialect';
import { foundTexts } from '../found-texts';
import { places } from '../statements';

/** `tow gri` as FTS5 asks for things that have both, each at the beginning of a word. Only letters and figures come here. */
const asked = (words: readonly string[]): string => words.map((word) => `"${word}"*`).join(' ');

/** Full texts in an FTS5 table beside the table of the texts, which triggers keep alike (sqlite.org/fts5.html, 4.4.3). */
export const sqliteTexts: TextIndex = {
  make: async (connection) => {
    for (const statement of [
      'DROP TABLE IF EXISTS found_words',
      'DROP TABLE IF EXISTS found_texts',
      'CREATE TABLE found_texts (row INTEGER PRIMARY KEY, id TEXT NOT NULL UNIQUE, site TEXT NOT NULL, text TEXT NOT NULL)',
      `CREATE VIRTUAL TABLE found_words USING fts5(text, content='found_texts', content_rowid='row', prefix='2 3')`,
      `CREATE TRIGGER found_texts_in AFTER INSERT ON found_texts BEGIN
         INSERT INTO found_words (rowid, text) VALUES (new.row, new.text);
       END`,
      `CREATE TRIGGER found_texts_out AFTER DELETE ON found_texts BEGIN
         INSERT INTO found_words (found_words, rowid, text) VALUES ('delete', old.row, old.text);
       END`,
    ])
      await connection.raw(statement);
  },
  ...foundTexts,
  find: async (connection, { words, sites, most }) => {
    if (words.length === 0 || sites.length === 0) return [];
    const rows: { id: string }[] = await connection.raw(
      `SELECT t.id AS id FROM found_words w JOIN found_texts t ON t.row = w.rowid
       WHERE found_words MATCH ? AND t.site IN (${places(sites.length)}) ORDER BY rank LIMIT ?`,
      [asked(words), ...sites, most],
    );
    return rows.map(({ id }) => id);
  },
};
