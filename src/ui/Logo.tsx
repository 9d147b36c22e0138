import Svg, { Path, Rect } from 'react-native-svg';
import { useColors } from './theme';

/** Our mark: a short length of wood, one slanted cut through it, and the piece that was meant. */
export const Logo = ({ size = 32 }: { size?: number }) => {
  const colors = useColors();
  return (
    <Svg width={size} height={size} viewBox="0 0 32 32" aria-hidden>
      <Rect width={32} height={32} fill={colors.bar} />
      <Path d="M5 10 H20 L13 22 H5 Z" fill="#E2C292" />
      <Path
        d="M22.6 10 H27 V22 H15.6 Z"
        fill="none"
        stroke="#E2C292"
        strokeWidth={1.4}
        strokeDasharray="2.4 1.8"
      />
      <Path d="M7 14 H16 M7 18 H13.6" stroke="#20302B" strokeOpacity={0.35} strokeWidth={1} />
    </Svg>
  );
};
