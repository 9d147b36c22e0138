import { Link } from 'expo-router';
import { Words } from '@/ui';

export default function NotFound() {
  return (
    <Link href="/" style={{ padding: 24 }}>
      <Words>There is nothing at this address. See the projects.</Words>
    </Link>
  );
}
