/** A bucket that fills by itself: what may be asked at once, and how much of it comes back each second. */
export class Bucket {
  /**
   * @param {number} size
   * @param {number} perSecond
   * @param {() => number} now ms
   */
  constructor(size, perSecond, now = Date.now) {
    this.size = size;
    this.perSecond = perSecond;
    this.now = now;
    this.left = size;
    this.at = now();
  }

  /** Takes so much out, if there is as much. @param {number} amount */
  take(amount = 1) {
    const now = this.now();
    this.left = Math.min(this.size, this.left + (Math.max(0, now - this.at) / 1000) * this.perSecond);
    this.at = now;
    if (this.left < amount) return false;
    this.left -= amount;
    return true;
  }
}
