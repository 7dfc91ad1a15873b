'use server';

import { action, question } from '@/server/action';
import * as change from './change';
import { tellTonight } from './tonight';

export const changeCupboardAction = action(change.changeCupboard);
export const changeRoomAction = action(change.changeRoom);
export const keepOwnPieceAction = action(change.keepOwnPiece);
export const dropOwnPieceAction = action(change.dropOwnPiece);
export const bringPieceBackAction = action(change.bringPieceBack);
export const tellTonightAction = question(tellTonight);
