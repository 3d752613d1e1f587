import type { TextIndex } from '../dialect';
import { foundTexts } from '../found-texts';
import { places } from '../statements';

/** `tow gri` as PostgreSQL asks for things that have both, each at the beginning of a word. Only letters and figures come here. */
const asked = (words: readonly string[]): string => words.map((word) => `'${word}':*`).join(' & ');

/** Full texts beside their words, which PostgreSQL keeps alike (www.postgresql.org/docs/15/textsearch-tables.html, 12.2.2). */
export const postgresTexts: TextIndex = {
  make: async (connection) => {
    for (const statement of [
      'DROP TABLE IF EXISTS found_texts',
      `CREATE TABLE found_texts (id TEXT PRIMARY KEY, site TEXT NOT NULL, text TEXT NOT NULL,
         words TSVECTOR GENERATED ALWAYS AS (to_tsvector('simple', text)) STORED)`,
      'CREATE INDEX found_texts_by_words ON found_texts USING GIN (words)',
    ])
      await connection.raw(statement);
  },
  ...foundTexts,
  find: async (connection, { words, sites, most }) => {
    if (words.length === 0 || sites.length === 0) return [];
    const rows: { id: string }[] = await connection.raw(
      `SELECT id FROM found_texts, to_tsquery('simple', ?) AS asked
       WHERE words @@ asked AND site IN (${places(sites.length)}) ORDER BY ts_rank(words, asked) DESC, id LIMIT ?`,
      [asked(words), ...sites, most],
    );
    return rows.map(({ id }) => id);
  },
};
