import { Link } from 'expo-router';
import { Text } from '@/ui';

export default function NotFound() {
  return (
    <Link href="/" style={{ padding: 24 }}>
      <Text>There is nothing at this address. See the projects.</Text>
    </Link>
  );
}
