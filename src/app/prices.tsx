import { PricesPlace } from '@/features/prices';

/** The price book. */
export default function BookRoute() {
  return <PricesPlace id={null} />;
}
