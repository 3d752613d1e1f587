/** What other features may use of this one. */
export { bringFiles, useDroppedFiles } from './dropped-files';
export { VoiceKey } from './voice-key';
export { PlayVoice } from './play-voice';
export { useSaidAloud } from './use-said-aloud';
export { VoiceToggle } from './voice-toggle';
