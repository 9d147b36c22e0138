import { useLocalSearchParams } from 'expo-router';
import { ReportPlace } from '@/features/report';

export default function ReportRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <ReportPlace id={id} />;
}
