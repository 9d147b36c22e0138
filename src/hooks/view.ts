import { useLocalSearchParams, usePathname } from 'expo-router';
import { useState } from 'react';
import { keepViewInAddress, viewInAddress } from '@/platform/page';

/**
 * The tab of a place that is shown, and how to show another. It stands in the address as `view`, so that it is there again after a
 * reload, a step back, or where a link leads to it; the usual one stands there as none.
 */
export const useView = <T extends string>(
  views: readonly { value: T }[],
  usual: T,
): [shown: T, show: (view: T) => void] => {
  const path = usePathname();
  const { view: linked } = useLocalSearchParams<{ view?: string }>();
  const [shown, setShown] = useState<T>(() => {
    // A link is followed before the address says where to.
    const asked = viewInAddress(path) ?? linked;
    return views.find(({ value }) => value === asked)?.value ?? usual;
  });
  const show = (view: T): void => {
    setShown(view);
    keepViewInAddress(view === usual ? null : view);
  };
  return [shown, show];
};
