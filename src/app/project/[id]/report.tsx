import { useLocalSearchParams } from 'expo-router';
import { ReportPlace } from '@/features/report';

/** A project on paper. */
export default function ReportRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <ReportPlace id={id} />;
}
