import { configureStore } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { planReducer } from '../features/plan/plan-slice';
import { underlayReducer } from '../features/plan/underlay/underlay-slice';
import { viewReducer } from '../features/plan/view-slice';

export const makeStore = () =>
  configureStore({
    reducer: { plan: planReducer, view: viewReducer, underlay: underlayReducer },
    // plans are large and never mutated: the development checks would walk all of them at every step of a drag
    middleware: (defaults) => defaults({ immutableCheck: false, serializableCheck: false }),
  });

export const store = makeStore();
export type RootState = ReturnType<typeof store.getState>;
export type AppDispatch = typeof store.dispatch;
export const useAppDispatch = useDispatch.withTypes<AppDispatch>();
export const useAppSelector = useSelector.withTypes<RootState>();

/** Something a person does: it may look at the state and changes it by actions. */
export type Command = (dispatch: AppDispatch, getState: () => RootState) => void;
