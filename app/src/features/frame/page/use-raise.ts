import { usePathname, useRouter } from 'expo-router';
import { isClosed } from '@oilcan/core/orders/work';
import { peekRow } from '../../../data/store/store';
import { useOpenParams } from './use-open-params';

/** Where something is raised, with the machine or place that is looked at filled in. */
export function useRaise(): () => void {
  const router = useRouter();
  const pathname = usePathname();
  const { asset, place, work, document } = useOpenParams();
  return () => {
    const job = peekRow('workOrders', work ?? '');
    const about = job ?? peekRow('documents', document ?? '');
    const from = job === undefined || isClosed(job.state) ? '' : `&from=${job.id}`;
    const assetId = about?.assetId ?? asset;
    if (assetId !== undefined) router.navigate(`/raise?asset=${assetId}${from}`);
    else if (place !== undefined && pathname.startsWith('/plant')) router.navigate(`/raise?place=${place}`);
    else router.navigate('/raise');
  };
}
