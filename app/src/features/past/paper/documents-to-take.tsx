import { useState, type ReactElement } from 'react';
import { View } from 'react-native';
import { readPages, type AssetDocument } from '@oilcan/core/plant/documents';
import type { AssetId } from '@oilcan/core/kernel';
import { useDocumentsOn } from '../../../data/queries/documents-on';
import { peekRow } from '../../../data/store/store';
import { Choice, Choices } from '../../../ui/fields/choice';
import { Field } from '../../../ui/fields/field';
import { AppText } from '../../../ui/theme/app-text';

/** A document that is taken along; its pages are undefined while they are no list of pages. */
export interface TakenDocument {
  readonly document: AssetDocument;
  readonly pages: readonly number[] | null | undefined;
}

interface Props {
  readonly assetId: AssetId;
  readonly chosen: readonly TakenDocument[];
  readonly onChange: (chosen: readonly TakenDocument[]) => void;
}

/** Which documents of the machine go behind the job card, and of which only some pages. */
export function DocumentsToTake({ assetId, chosen, onChange }: Props): ReactElement | null {
  const documents = useDocumentsOn(assetId);
  if (documents.length === 0) return null;
  const toggle = (document: AssetDocument): void => {
    const others = chosen.filter((each) => each.document.id !== document.id);
    onChange(others.length < chosen.length ? others : [...chosen, { document, pages: null }]);
  };
  const setPages = (id: string, pages: TakenDocument['pages']): void =>
    onChange(chosen.map((each) => (each.document.id === id ? { ...each, pages } : each)));
  return (
    <View>
      <AppText as="label">Documents to go behind it</AppText>
      <Choices label="Documents to go behind it" isMany>
        {documents.map((document) => (
          <Choice
            key={document.id}
            isMany
            word={
              document.assetId === assetId
                ? document.name
                : `${document.name}, of ${peekRow('assets', document.assetId)?.name ?? 'what it is part of'}`
            }
            isChosen={chosen.some((each) => each.document.id === document.id)}
            onPress={() => toggle(document)}
          />
        ))}
      </Choices>
      {chosen.map(({ document, pages }) =>
        document.mediaType === 'application/pdf' ? (
          <Pages
            key={document.id}
            name={document.name}
            isWrong={pages === undefined}
            onChange={(text) => setPages(document.id, readPages(text))}
          />
        ) : null,
      )}
    </View>
  );
}

interface PagesProps {
  readonly name: string;
  readonly isWrong: boolean;
  readonly onChange: (text: string) => void;
}

function Pages({ name, isWrong, onChange }: PagesProps): ReactElement {
  const [text, setText] = useState('');
  return (
    <Field
      label={`Pages of ${name}`}
      hint="such as 3-5, 9; empty for all"
      value={text}
      onChange={(typed) => {
        setText(typed);
        onChange(typed);
      }}
      error={isWrong ? 'Write the pages as 3, 3-5 or 3-5, 9.' : null}
    />
  );
}
