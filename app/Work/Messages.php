<?php

declare(strict_types=1);

namespace App\Work;

/** Serialized values between two processes of ours, each with its length before it. */
final readonly class Messages
{
    /** Bytes of the number that says how long a message is. */
    private const LENGTH = 4;

    private const PIECE = 65_536;

    /**
     * @param  resource  $in
     * @param  resource  $out
     */
    public function __construct(private mixed $in, private mixed $out)
    {
    }

    /** @return bool false where nobody listens any more */
    public function send(mixed $what): bool
    {
        $message = serialize($what);
        $bytes = pack('N', strlen($message)).$message;
        for ($sent = 0; $sent < strlen($bytes); $sent += $written) {
            $written = @fwrite($this->out, substr($bytes, $sent, self::PIECE));
            if ($written === false || $written === 0) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param  float|null  $until  seconds since 1970; null for as long as it takes
     * @return mixed null where nothing more comes, or not in time
     */
    public function receive(?float $until = null): mixed
    {
        $length = $this->read(self::LENGTH, $until);
        $size = $length === null ? false : unpack('N', $length);
        $message = $size === false || ! is_int($size[1]) ? null : $this->read($size[1], $until);

        return $message === null ? null : unserialize($message);
    }

    private function read(int $length, ?float $until): ?string
    {
        $bytes = '';
        while (($missing = $length - strlen($bytes)) > 0) {
            $piece = $this->isReady($until) ? fread($this->in, min(self::PIECE, $missing)) : false;
            if ($piece === false || ($piece === '' && feof($this->in))) {
                return null;
            }
            $bytes .= $piece;
        }

        return $bytes;
    }

    /**
     * Waits until something comes.
     *
     * @param  float|null  $until  seconds since 1970
     * @return bool false where nothing came in time
     */
    public function isReady(?float $until): bool
    {
        do {
            $ready = [$this->in];
            $none = null;
            $left = $until === null ? 3_600.0 : max(0.0, $until - microtime(true));
            // A signal breaks off the waiting, and means nothing here.
            $count = @stream_select($ready, $none, $none, (int) $left, (int) (fmod($left, 1) * 1e6));
            $isTimeLeft = $until === null || microtime(true) < $until;
        } while (($count === false || $count === 0) && $isTimeLeft);

        return $count === 1 && $isTimeLeft;
    }
}
