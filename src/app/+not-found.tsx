import { Link } from 'expo-router';
import { Text } from '@/ui';

/** What an address that leads nowhere shows. */
export default function NotFound() {
  return (
    <Link href="/" style={{ padding: 24 }}>
      <Text>There is nothing at this address. See the projects.</Text>
    </Link>
  );
}
