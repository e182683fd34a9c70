import { useQuery } from '@tanstack/react-query';
import { answered, api } from '../api/client';
import { useSession } from '../api/queries';

/** How things stand with the nursery's copies; asked for on behalf of a propagator only. */
export function useSafekeeping() {
  const propagator = useSession().data?.role === 'PROPAGATOR';
  return useQuery({ queryKey: ['safekeeping'], enabled: propagator, queryFn: () => answered(api.GET('/api/safekeeping')) });
}
