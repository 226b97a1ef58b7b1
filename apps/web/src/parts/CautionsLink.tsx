import { Link } from 'react-router';

/** To what the guide says of all that can hurt. */
export function CautionsLink() {
  return (
    <Link className="no-print whitespace-nowrap font-normal text-ink underline" to="/guide#cautions">
      Cautions
    </Link>
  );
}
