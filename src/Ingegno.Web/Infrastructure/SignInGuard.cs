using System.Collections.Concurrent;
using System.Security.Cryptography;
using System.Text;

namespace Ingegno.Web.Infrastructure;

/// <summary>
/// Slows down whoever guesses passwords. Tries are counted by account and address together, so that a stranger behind the same proxy, or one
/// who guesses at an account from afar, does not shut out the coach who knows the password; an account that is guessed at from many
/// addresses is slowed for addresses that never got it right.
/// </summary>
public sealed class SignInGuard(TimeProvider clock)
{
    /// <summary>Wrong tries that are free: everybody mistypes.</summary>
    public const int Free = 5;

    /// <summary>Wrong tries at one account from strange addresses before it is slowed for all of them.</summary>
    public const int FreeFromAnywhere = 50;

    private static readonly TimeSpan First = TimeSpan.FromSeconds(2);
    private static readonly TimeSpan Longest = TimeSpan.FromMinutes(15);
    private static readonly TimeSpan Forgotten = TimeSpan.FromHours(1);
    private const int MostKept = 20_000;

    private readonly ConcurrentDictionary<(string Account, string Address), Tries> _tries = new();
    private readonly ConcurrentDictionary<(string Account, string Address), DateTimeOffset> _known = new();

    private sealed record Tries(int Wrong, DateTimeOffset Last);

    /// <summary>How long the next try has to wait; zero when it may come now.</summary>
    public TimeSpan Wait(string account, string address)
    {
        var key = (Plain(account), address);
        var here = Left(key, Free);
        return _known.ContainsKey(key) || Left((key.Item1, string.Empty), FreeFromAnywhere) is not { Ticks: > 0 } anywhere ? here
            : here > anywhere ? here
            : anywhere;
    }

    /// <summary>A try was wrong.</summary>
    public void Wrong(string account, string address)
    {
        Count((Plain(account), address));
        Count((Plain(account), string.Empty));
        Tidy();
    }

    /// <summary>A try was right: what was mistyped before is forgotten.</summary>
    public void Right(string account, string address)
    {
        var key = (Plain(account), address);
        _tries.TryRemove(key, out _);
        _known[key] = clock.GetUtcNow();
    }

    private TimeSpan Left((string, string) key, int free)
    {
        if (!_tries.TryGetValue(key, out var tries) || tries.Wrong < free)
        {
            return TimeSpan.Zero;
        }

        var left = tries.Last + Delay(tries.Wrong - free) - clock.GetUtcNow();
        return left > TimeSpan.Zero ? left : TimeSpan.Zero;
    }

    /// <summary>Doubles with every try: 2 s, 4 s, 8 s … a quarter of an hour.</summary>
    private static TimeSpan Delay(int over) => over > 9 ? Longest : First * Math.Min(Longest / First, Math.Pow(2, over));

    private void Count((string, string) key)
    {
        var now = clock.GetUtcNow();
        _tries.AddOrUpdate(
            key,
            _ => new Tries(1, now),
            (_, before) => new Tries(now - before.Last > Forgotten ? 1 : before.Wrong + 1, now)
        );
    }

    /// <summary>Memory stays bounded whoever tries how many accounts.</summary>
    private void Tidy()
    {
        if (_known.Count > MostKept)
        {
            foreach (var old in _known.OrderBy(k => k.Value).Take(MostKept / 4).Select(k => k.Key).ToList())
            {
                _known.TryRemove(old, out _);
            }
        }

        if (_tries.Count <= MostKept)
        {
            return;
        }

        foreach (var old in _tries.OrderBy(t => t.Value.Last).Take(MostKept / 4).Select(t => t.Key).ToList())
        {
            _tries.TryRemove(old, out _);
        }
    }

    /// <summary>A hash of the account: however long a name somebody makes up, remembering it costs the same.</summary>
    private static string Plain(string account) =>
        Convert.ToHexString(SHA256.HashData(Encoding.UTF8.GetBytes(account.Trim().ToUpperInvariant())));
}
