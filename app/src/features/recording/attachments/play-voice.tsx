import { useEffect, useState, type ReactElement } from 'react';
import { mdiPlay, mdiStop } from '@mdi/js';
import type { VoiceContent } from '@oilcan/core/recording/attachments';
import { formatClock } from '@oilcan/core/kernel';
import { usePicture } from '../../../data/pictures/use-picture';
import { Icon } from '../../../ui/theme/icon';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';

interface Props {
  readonly content: VoiceContent;
  readonly isSmall?: boolean;
}

/** A voice note that is played by a press. In a list it is only marked: the row opens it. */
export function PlayVoice({ content, isSmall = false }: Props): ReactElement {
  return isSmall ? <Icon path={mdiPlay} size={28} /> : <Player content={content} />;
}

function Player({ content }: Pick<Props, 'content'>): ReactElement {
  const address = usePicture(content.fileId, content.mediaType);
  const [sound, setSound] = useState<HTMLAudioElement | null>(null);
  const [isPlaying, setIsPlaying] = useState(false);
  const [isUnplayable, setIsUnplayable] = useState(false);
  useEffect(() => () => sound?.pause(), [sound]);
  if (address === 'looking') return <AppText soft>Looking for it …</AppText>;
  if (address === 'not-here')
    return <AppText>This voice note is with the server. It plays when there is signal.</AppText>;
  const toggle = (): void => {
    if (isPlaying) {
      sound?.pause();
      setIsPlaying(false);
      return;
    }
    const made = new Audio(address);
    made.addEventListener('ended', () => setIsPlaying(false));
    setSound(made);
    setIsPlaying(true);
    made.play().catch(() => {
      setIsPlaying(false);
      setIsUnplayable(true);
    });
  };
  return (
    <>
      <Button
        icon={isPlaying ? mdiStop : mdiPlay}
        word={isPlaying ? 'Stop' : `Play ${formatClock(content.seconds)}`}
        onPress={toggle}
      />
      {isUnplayable ? <AppText live>This browser cannot play the sound as it was recorded.</AppText> : null}
    </>
  );
}
