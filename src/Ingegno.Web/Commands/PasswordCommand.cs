using System.Security.Cryptography;
using Ingegno.Storage;
using Microsoft.AspNetCore.Identity;

namespace Ingegno.Web.Commands;

/// <summary>Another password for a coach who forgot the old one, made by whoever runs the server.</summary>
public static class PasswordCommand
{
    /// <summary>With <c>--link yes</c> prints a link that works once; without, a new password, to be changed after the next sign-in, and ends all sessions of the coach.</summary>
    public static int Reset(CommandCall call)
    {
        ArgumentNullException.ThrowIfNull(call);
        if (call.Given["email"] is not { Length: > 0 } email)
        {
            throw new StartException(1, "Say whose: --email ADDRESS.");
        }

        var database = call.Database();
        var coaches = new CoachStore(database, TimeProvider.System);
        if (coaches.Find(email.Trim()) is not { } coach)
        {
            throw new StartException(StartException.NoSuchFile, $"No coach signs in as {email}.");
        }

        if (call.Given["link"] is { Length: > 0 })
        {
            var secret = new PasswordResetStore(database, TimeProvider.System).Begin(coach.Id);
            new AuditStore(database, TimeProvider.System).Note(coach.Id, "password-reset-asked");
            call.Out.WriteLine(
                $"{coach.Email} chooses another password at the address of this server with this behind it, once, within an hour:"
            );
            call.Out.WriteLine($"/#reset={secret}");
            return 0;
        }

        var password = string.Join(
            '-',
            Enumerable.Range(0, 4).Select(_ => RandomNumberGenerator.GetString("abcdefghjkmnpqrstuvwxyz23456789", 5))
        );
        coaches.SetPasswordHash(coach.Id, new PasswordHasher<Coach>().HashPassword(coach, password));
        new SecondFactorStore(database).Remove(coach.Id);
        new SignedInStore(database, TimeProvider.System).EndAll(coach.Id);
        new AuditStore(database, TimeProvider.System).Note(coach.Id, "password-reset");
        call.Out.WriteLine($"The new password of {coach.Email} is {password}");
        call.Out.WriteLine(
            "All sessions of this coach are ended, a second factor is taken away. Change the password after signing in: it stands on this screen."
        );
        return 0;
    }
}
