'use server';

import { action } from '@/server/action';
import * as keep from './keep';

export const keepPictureAction = action(keep.keepPicture);
export const deletePictureAction = action(keep.deletePicture);
