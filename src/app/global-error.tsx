'use client';
import '@/ui/base.css';
import { say } from '@/words/say';

/** Where even the frame of the page stopped. */
export default function GlobalError({ error, reset }: { error: Error; reset: () => void }) {
  return (
    <html lang="en">
      <body>
        <main className="nowhere" role="alert">
          <h1>{say`Fobbet stopped`}</h1>
          <p>{say`Something happened that it did not foresee. Everything that was kept in this browser is
            untouched. Reload the page; if it stops again, the line below says why.`}</p>
          <button onClick={reset}>{say`Try again`}</button>
          <p>{error.message}</p>
        </main>
      </body>
    </html>
  );
}
