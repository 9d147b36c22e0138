import { PricesPlace } from '@/features/prices';

export default function BookRoute() {
  return <PricesPlace id={null} />;
}
