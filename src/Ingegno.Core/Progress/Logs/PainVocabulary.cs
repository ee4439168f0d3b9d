using System.Collections.Immutable;

namespace Ingegno.Core.Progress.Logs;

/// <summary>Words with which clients tell of pain, in lower case. Common practice.</summary>
internal static class PainVocabulary
{
    /// <summary>Words of pain.</summary>
    public static readonly ImmutableHashSet<string> Pain = Words(
        """
        sore pain pains painful painfull hurt hurts hurting hurted ache aches ached aching achy niggle niggles
        niggling niggly tweak tweaked twinge twinges twinged twinging twingy sharp stabbing stabbed stab agony excruciating bothers
        bothered bothering killing pinch pinches pinched pinching grumbly grumbling complained complaining complains
        discomfort schmerz schmerzen dolor douleur dolore
        """
    );

    /// <summary>Words that mean pain only beside a joint: a sore muscle is none, and a tin hurts nobody's foot.</summary>
    public static readonly ImmutableHashSet<string> OnlyWithJoint = Words(
        """
        killing sore sharp tweak tweaked stab stabbed pinch pinches pinched pinching complained complaining complains
        bothers bothered bothering discomfort
        """
    );

    /// <summary>Words that make it strong pain.</summary>
    public static readonly ImmutableHashSet<string> Strong = Words(
        """
        really unbearable unbearably awful terrible terribly horrible severe severely excruciating agony badly extreme
        extremely intense worst crippling
        """
    );

    /// <summary>Words that go with it and say nothing of a set.</summary>
    public static readonly ImmutableHashSet<string> Filler = Words(
        """
        my the a an in bit of little slight slightly mild mildly minor some left right both it was is felt feels
        feeling had got have really very too super kinda rather fairly somewhat proper quite so pretty still again
        today unbearable awful terrible horrible severe bad badly extreme intense dull sharp stabbing front inside
        outside around inner outer there with i me at about level up to only just like : - = ( ~ sudden crippling new
        old usual rated maybe say were are
        """
    );

    /// <summary>Words that deny it.</summary>
    public static readonly ImmutableHashSet<string> Negation = Words(
        """
        no not without zero never didnt doesnt dont wasnt isnt hasnt havent none nothing nowhere kein keine sin pas
        nessun
        """
    );

    /// <summary>Words between a denial and what is denied.</summary>
    public static readonly ImmutableHashSet<string> AfterNegation = Words(
        """
        any more longer further real actual much sign signs or nor at all anymore sharp joint
        """
    );

    /// <summary>Parts of the body that are no joint: "no chest pain" denies.</summary>
    public static readonly ImmutableHashSet<string> BodyParts = Words(
        """
        chest muscle nerve arm leg foot heel toe hand finger thumb calf shin thigh hamstring quad glute groin rib
        stomach tummy head jaw bicep biceps forearm
        """
    );

    /// <summary>Words behind a figure that make it one of a set.</summary>
    public static readonly ImmutableHashSet<string> Units = Words(
        """
        x reps rep sets set kg lb lbs s sec secs seconds min each per times
        """
    );

    private static ImmutableHashSet<string> Words(string text) => [.. text.Split([' ', '\n', '\r'], StringSplitOptions.RemoveEmptyEntries)];
}
