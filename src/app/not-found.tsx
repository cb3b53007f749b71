import Link from 'next/link';
import { say } from '@/words/say';
import { sayWith } from '@/ui/say-with';

export default function NotFound() {
  return (
    <main className="nowhere">
      <h1>{say`There is nothing here`}</h1>
      <p>{sayWith`The address does not lead to a place in Fobbet. ${(<Link href="/">{say`Go to today`}</Link>)}`}</p>
    </main>
  );
}
