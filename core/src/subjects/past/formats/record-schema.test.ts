import published from '../../../../../docs/record.schema.json';
import { contentSchema } from './content-schemas';

describe('the published schema of a record', () => {
  it('says of every kind of entry what its content is', () => {
    expect(published.$defs.content).toEqual(contentSchema);
  });
});
