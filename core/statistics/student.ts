/// <reference path="./jstat.d.ts" />
import jStat from 'jstat'

/** The quantile of Student's t distribution. @param p 0 to 1. @param freedom degrees of freedom, more than 0. */
export const studentQuantile = (p: number, freedom: number): number => jStat.studentt.inv(p, freedom)
