'use server';

import { action } from '@/server/action';
import * as change from './change';

export const changeCupboardAction = action(change.changeCupboard);
export const changeRoomAction = action(change.changeRoom);
export const keepOwnPieceAction = action(change.keepOwnPiece);
export const dropOwnPieceAction = action(change.dropOwnPiece);
