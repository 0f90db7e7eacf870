import { useRouter } from 'expo-router';
import { useEffect, useRef } from 'react';
import { useAppDispatch, useAppSelector } from '../../../store/store';
import { planActions } from '../plan-slice';
import { partAt } from './parts';

/** The part that is looked at stands in the address, so that it can be linked to, and the way back out of it is that of the device. */
export function usePartInAddress(id: string, named: string | null): void {
  const dispatch = useAppDispatch();
  const router = useRouter();
  const listing = useAppSelector((state) => state.plan.listing);
  const ready = useAppSelector((state) => state.plan.loading === 'ready');
  const inAddress = partAt(named);
  const shown =
    listing === null || listing === 'keys' || listing === 'looks' || listing === 'catalogue' ? 'plan' : listing;
  const last = useRef<{ address: string; shown: string } | null>(null);
  useEffect(() => {
    if (!ready) {
      last.current = null;
      return;
    }
    const { address, shown: was } = last.current ?? { address: 'plan', shown: 'plan' };
    last.current = { address: inAddress, shown };
    if (inAddress === shown) return;
    // whichever of the two changed is followed by the other
    if (inAddress !== address) dispatch(planActions.listed(inAddress === 'plan' ? null : inAddress));
    else if (shown !== was) {
      if (shown === 'plan') router.dismissTo(`/job/${id}`);
      else if (inAddress === 'plan') router.push(`/job/${id}/${shown}`);
      else router.replace(`/job/${id}/${shown}`);
    }
  }, [dispatch, id, inAddress, ready, router, shown]);
}
