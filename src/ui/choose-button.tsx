import { Button } from '@mui/material';
import { say } from '@/words/say';

/** Takes one of several offers, and says which is taken. @param name of the offer, for readers of the button alone */
export function ChooseButton({ name, isChosen, onChoose }: { name: string; isChosen: boolean; onChoose: () => void }) {
  const choice = isChosen ? say`Chosen` : say`Choose`;
  return (
    <Button
      size="small"
      variant={isChosen ? 'contained' : 'outlined'}
      aria-pressed={isChosen}
      aria-label={`${choice}: ${name}`}
      onClick={onChoose}
    >
      {choice}
    </Button>
  );
}
