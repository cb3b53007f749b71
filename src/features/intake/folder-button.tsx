'use client';
import { FileButton } from '@/ui';
import { useBeginWith } from './use-begin-with';
import { say } from '@/words/say';

/** A whole folder of pictures, a piece for each. */
export function FolderButton() {
  const begin = useBeginWith();
  return (
    <FileButton
      folder
      onFiles={(files) => void begin(files)}
      variant="outlined"
      testId="folder"
    >{say`A folder of pictures`}</FileButton>
  );
}
