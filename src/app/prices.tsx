import { PricesPlace } from '@/features/prices/PricesPlace';

export default function BookRoute() {
  return <PricesPlace id={null} />;
}
