import type { ItemView } from '../api.gen'
import classes from './PrintedNumber.module.css'

/** The number of a step as printed on the operator's card, where it has one. */
export const PrintedNumber = ({ item }: { item: ItemView }) =>
  item.number === '' ? null : <span className={classes.number}>{item.number} </span>
