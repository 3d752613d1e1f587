import type { TextIndex } from './dialect';
import { runAmong, runnerOf } from './statements';

/** Keeps the texts in a table of their own, whose words the database keeps alike by itself. */
export const foundTexts: Pick<TextIndex, 'put' | 'textOf'> = {
  put: async (transaction, texts) => {
    const run = await runnerOf(transaction);
    await runAmong(
      run,
      texts.map(({ id }) => id),
      (list) => `DELETE FROM found_texts WHERE id IN (${list})`,
    );
    for (const { id, site, text } of texts)
      await run('INSERT INTO found_texts (id, site, text) VALUES (?, ?, ?)', [id, site, text]);
  },
  textOf: async (connection, id) => {
    const row: { text: string } | undefined = await connection('found_texts').where('id', id).first('text');
    return row?.text;
  },
};
