import Link from 'next/link';

export default function NotFound() {
  return (
    <main className="nowhere">
      <h1>There is nothing here</h1>
      <p>
        The address does not lead to a place in Fobbet. <Link href="/">Go to today</Link>
      </p>
    </main>
  );
}
