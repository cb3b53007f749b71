import NotFound from '../not-found';

/** The same as for an address that leads nowhere, to be kept for when the server is away. */
export default function Nowhere() {
  return <NotFound />;
}
