import type { DigestLine } from '@oilcan/core/past/digest';
import { peekRow } from '../../../data/store/store';
import { faultLine } from '../../recording/faults';
import { conditionWords } from '../../../words/plant-words';

/** One change in a sentence, and where it leads. */
export function digestWords(line: DigestLine): { readonly words: string; readonly address: string } {
  switch (line.is) {
    case 'handedOver':
      return {
        words: `${nameOf(line.handOver.by)} left ${line.work.title} to you: ${line.handOver.line}`,
        address: `/shift/${line.work.id}`,
      };
    case 'machine':
      return {
        words:
          line.condition === 'running'
            ? `${line.asset.name} runs again`
            : `${line.asset.name}: ${conditionWords[line.condition].toLowerCase()}`,
        address: `/plant/${line.asset.id}`,
      };
    case 'finished':
      return {
        words: `${nameOf(line.work.finishedBy)} finished ${line.work.title} on ${machineOf(line.work.assetId)}`,
        address: `/shift/${line.work.id}`,
      };
    case 'found': {
      const { content, assetId, by } = line.entry;
      const what = content.kind === 'fault' ? faultLine(content) : '';
      return { words: `${nameOf(by)} found on ${machineOf(assetId)}: ${what}`, address: `/shift/${line.workOrderId}` };
    }
    case 'parts':
      return {
        words: `In stock again for ${line.work.title}: ${line.partIds.map((id) => peekRow('parts', id)?.name ?? id).join(', ')}`,
        address: `/shift/${line.work.id}`,
      };
  }
}

function nameOf(personId: string | null): string {
  return (personId === null ? undefined : peekRow('people', personId)?.name) ?? 'Somebody';
}

function machineOf(assetId: string): string {
  return peekRow('assets', assetId)?.name ?? 'its machine';
}
